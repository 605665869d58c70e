-- Which valve, which isolator, which lock: what the sheet of a construction cannot know.
create table pump_energy (
  pump varchar(20) not null references pump (tag),
  hazard varchar(80) not null,
  place varchar(200) not null,
  primary key (pump, hazard)
);
