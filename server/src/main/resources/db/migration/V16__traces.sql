-- What is in a duty's water-based fluids beside what gives them their names; null is not known.
alter table wet_end add column chloride_mg_l double precision;
alter table wet_end add column ph_low double precision;
alter table wet_end add column ph_high double precision;
alter table wet_end add column chlorine_mg_l double precision;
