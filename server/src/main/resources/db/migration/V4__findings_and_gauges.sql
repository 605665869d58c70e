create table gauge (
  id varchar(20) primary key,
  kind varchar(30) not null,
  title varchar(120) not null,
  unit varchar(20) not null,
  resolution double precision not null,
  uncertainty double precision not null,
  measures varchar(600) not null,
  calibrated_until date not null
);
create table reading (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  subject varchar(80) not null,
  measure varchar(80) not null,
  unit varchar(20) not null,
  reading double precision not null,
  taken_at timestamp with time zone not null,
  hours double precision not null,
  who varchar(4) not null,
  gauge varchar(20) not null,
  overdue boolean not null,
  rebuild bigint,
  last_of_part boolean not null
);
create index reading_by_pump on reading (pump, subject, measure, taken_at);
create table cause_found (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  family varchar(30) not null,
  part varchar(80) not null,
  cause varchar(40) not null,
  counters varchar(400) not null,
  note varchar(2000) not null,
  material varchar(20) not null,
  hours double precision not null,
  found_at timestamp with time zone not null,
  rebuild bigint
);
create index cause_by_pump on cause_found (pump, cause);
create table fault_found (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  family varchar(30) not null,
  fault varchar(40) not null,
  found_at timestamp with time zone not null,
  rebuild bigint
);
create table next_look (
  pump varchar(20) primary key references pump,
  at_hours double precision not null,
  because varchar(400) not null
);
