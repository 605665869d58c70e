-- When people are at the bench: weekday 1 is Monday, minutes count from midnight.
create table shift (
  id bigint generated always as identity primary key,
  who varchar(4) not null,
  weekday int not null,
  from_minute int not null,
  to_minute int not null,
  overtime boolean not null
);
create table fixture (
  id varchar(30) primary key,
  title varchar(120) not null,
  pieces int not null,
  families varchar(300) not null
);
-- A line that stands still for a while.
create table line_stop (
  id bigint generated always as identity primary key,
  line varchar(60) not null,
  title varchar(120) not null,
  starts_at timestamp with time zone not null,
  ends_at timestamp with time zone not null
);
-- What binds a pump's job: the line that must stand still for it, the pump it stands in for.
create table pump_rule (
  pump varchar(20) primary key references pump,
  line varchar(60) not null,
  pair varchar(20) not null
);
create table diary_entry (
  pump varchar(20) primary key references pump,
  who varchar(4) not null,
  starts_at timestamp with time zone not null,
  ends_at timestamp with time zone not null,
  pinned boolean not null,
  because varchar(800) not null,
  planned_by varchar(4) not null,
  planned_at timestamp with time zone not null
);
