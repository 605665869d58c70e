-- Upkeep that comes round and is done without a rebuild: when it was done, and by whom.
create table round_done (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump (tag),
  round varchar(80) not null,
  done_at timestamp with time zone not null,
  hours double precision not null,
  who varchar(4) not null,
  note varchar(2000) default '' not null,
  request_key varchar(80) not null unique
);
create index round_done_of_pump on round_done (pump, round, done_at);
