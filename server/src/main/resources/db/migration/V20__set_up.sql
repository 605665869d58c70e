-- What a shop says of itself: areas in the order of the floor, days off, what is retired, and every
-- change of the set-up with what stood there before, so that the last one can be taken back.
create table area (
  name varchar(60) primary key,
  position int not null
);
insert into area (name, position) select area, min(area_position) from pump group by area;
create table holiday (
  day_off date primary key,
  title varchar(120) not null
);
alter table pump add column retired_at timestamp with time zone;
alter table wrench add column retired_at timestamp with time zone;
alter table gauge add column retired_at timestamp with time zone;
create table setup_change (
  id bigint generated always as identity primary key,
  batch varchar(40) not null,
  made_at timestamp with time zone not null,
  who varchar(4) not null,
  device varchar(60) not null,
  table_name varchar(30) not null,
  row_key varchar(200) not null,
  stood varchar(20000),
  stands varchar(20000),
  undone boolean default false not null
);
create index setup_change_by_batch on setup_change (batch);
create index setup_change_by_row on setup_change (table_name, row_key, id);
insert into turn values ('setup');
