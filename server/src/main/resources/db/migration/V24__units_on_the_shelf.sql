-- Units that stand in no position: how each is made, what is in it with its age, where it lies. One
-- that goes into a position leaves these tables; one that comes out of it comes in.
create table spare_unit (
  serial varchar(40) primary key,
  sheet_id varchar(80) not null,
  series varchar(60) not null,
  body_material varchar(20) not null,
  variants varchar(200) not null,
  hardware varchar(60) not null,
  rotor_class_mm double precision not null,
  parts varchar(400) not null,
  place varchar(20) not null,
  note varchar(120) not null,
  came_from varchar(20) not null,
  since date not null,
  look_in_hours double precision,
  look_because varchar(400) not null,
  retired_at timestamp with time zone
);
create table spare_unit_part (
  unit varchar(40) not null references spare_unit,
  role varchar(20) not null,
  place varchar(40) not null,
  part_serial varchar(40) not null,
  material varchar(20) not null,
  hours double precision not null,
  counts double precision not null,
  leading boolean not null,
  primary key (unit, role, place)
);
