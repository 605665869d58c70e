-- What was forecast of a set when its date was set: scored when the set comes out.
create table forecast (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  role varchar(20) not null,
  place varchar(40) not null,
  material varchar(20) not null,
  fitted_on date not null,
  made_on date not null,
  age_hours double precision not null,
  due_hours double precision not null,
  chance double precision not null,
  advised_hours double precision
);
create index forecast_of_set on forecast (pump, fitted_on);
