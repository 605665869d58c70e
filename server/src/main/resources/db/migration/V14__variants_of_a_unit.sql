-- How this unit is made where its sheet has variants: by packing or by a mechanical seal. Told at the
-- take-in, kept with the unit, and with each rebuild as it stood when that was opened.
alter table pump add column variants varchar(200) default '' not null;
alter table rebuild add column fitted_variants varchar(200) default '' not null;
