-- The set that leads a pump's wear stands beside its other wear parts, with a mark of its own.

alter table fitted_part add column leading boolean default false not null;

insert into fitted_part (pump, role, place, part_serial, material, fitted_on, fitted_at_hours,
  came_hours, fitted_at_count, came_count, leading)
select tag, role, '', part_serial, material, fitted_on, fitted_at_hours,
  came_hours, fitted_at_count, came_count, true
from pump;

alter table pump drop column role;
alter table pump drop column material;
alter table pump drop column fitted_on;
alter table pump drop column fitted_at_hours;
alter table pump drop column part_serial;
alter table pump drop column came_hours;
alter table pump drop column came_count;
alter table pump drop column fitted_at_count;
