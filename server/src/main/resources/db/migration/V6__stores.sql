-- Every change of a lot, so that its count can be told; a rebuild's issues and returns among them.
create table movement (
  id bigint generated always as identity primary key,
  lot varchar(20) not null references lot,
  change int not null,
  kind varchar(10) not null,
  rebuild bigint,
  who varchar(4) not null,
  at timestamp with time zone not null,
  note varchar(400) not null
);
create index movement_by_lot on movement (lot, id);
create index movement_by_rebuild on movement (rebuild);

-- A piece of a lot held for the next job of a pump.
create table reservation (
  id bigint generated always as identity primary key,
  lot varchar(20) not null references lot,
  pump varchar(20) not null references pump,
  who varchar(4) not null,
  at timestamp with time zone not null,
  released_at timestamp with time zone
);
create index reservation_by_lot on reservation (lot);

-- Retired parts that looked sound and were kept, with what they have run.
create table kept_part (
  id varchar(12) primary key,
  serial varchar(40) not null,
  sheet_id varchar(80) not null,
  role varchar(20) not null,
  name varchar(120) not null,
  material varchar(20) not null,
  hours double precision not null,
  counts double precision not null,
  condition varchar(10) not null,
  note varchar(400) not null,
  from_pump varchar(20) not null references pump,
  place varchar(20) not null,
  kept_by varchar(4) not null,
  kept_at timestamp with time zone not null,
  gone_to varchar(40),
  gone_at timestamp with time zone
);
create table setting (
  name varchar(40) primary key,
  number double precision not null,
  changed_by varchar(4) not null,
  changed_at timestamp with time zone not null
);
