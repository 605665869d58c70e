-- Wear parts of other roles age in the count that drives them too.
alter table fitted_part add column fitted_at_count double precision default 0 not null;
alter table fitted_part add column came_count double precision default 0 not null;
