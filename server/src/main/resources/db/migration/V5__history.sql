-- A run is one part in one place: its serial, the unit it stood in, the age it came with, and the
-- count that drives its wear. Hours and counts are those run in this place; came_* what was on it.
alter table run add column unit varchar(40) default '' not null;
alter table run add column part_serial varchar(40) default '' not null;
alter table run add column place varchar(40) default '' not null;
alter table run add column construction varchar(80) default '' not null;
alter table run add column came_hours double precision default 0 not null;
alter table run add column counted varchar(10) default 'hours' not null;
alter table run add column came_count double precision default 0 not null;
alter table run add column counts double precision;
alter table run add column note varchar(2000) default '' not null;
update run set
  unit = (select serial from pump where tag = run.pump),
  construction = (select coalesce(sheet_id, '') from pump where tag = run.pump);

alter table pump add column counts_per_hour double precision default 0 not null;
alter table pump add column hours_on date;
alter table pump add column part_serial varchar(40) default '' not null;
alter table pump add column came_hours double precision default 0 not null;
alter table pump add column came_count double precision default 0 not null;
alter table pump add column fitted_at_count double precision default 0 not null;

-- Wear parts of other roles than the leading one, as they stand in the pump now.
create table fitted_part (
  pump varchar(20) not null references pump,
  role varchar(20) not null,
  place varchar(40) not null,
  part_serial varchar(40) not null,
  material varchar(20) not null,
  fitted_on date not null,
  fitted_at_hours double precision not null,
  came_hours double precision not null,
  primary key (pump, role, place)
);

-- How a pump's wear part is kept; the last row of a pump counts.
create table policy (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  way varchar(20) not null,
  every_hours double precision,
  because varchar(400) not null,
  chosen_by varchar(4) not null,
  chosen_at timestamp with time zone not null
);
create index policy_by_pump on policy (pump, id);

-- Weibull shape a person chose for the failure mode of a group; the last row of a group counts.
create table failure_mode (
  id bigint generated always as identity primary key,
  role varchar(20) not null,
  material varchar(20) not null,
  duty_group varchar(60) not null,
  shape double precision not null,
  chosen_by varchar(4) not null,
  chosen_at timestamp with time zone not null
);
