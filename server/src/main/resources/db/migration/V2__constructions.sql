create table step_time (
  rebuild bigint not null references rebuild,
  sheet_id varchar(80) not null,
  step varchar(80) not null,
  building boolean not null,
  minutes double precision not null,
  recorded_at timestamp with time zone not null,
  primary key (rebuild, step, building)
);
create index step_time_by_sheet on step_time (sheet_id, step, building);
create table offer (
  sheet_id varchar(80) not null,
  id varchar(90) not null,
  price double precision not null,
  lead_days int not null,
  primary key (sheet_id, id)
);
