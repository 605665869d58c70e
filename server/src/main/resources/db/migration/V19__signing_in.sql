-- Who may sign in, and which device somebody is signed in on. Neither is part of an export.
create table credential (
  initials varchar(4) primary key,
  -- Argon2id with its own cost and salt; empty where a lead has not set one
  pin varchar(200) not null,
  -- SHA-256 of the code of the badge
  badge varchar(64),
  -- whether a lead set it: its owner chooses another at once
  set_by_lead boolean not null,
  failures int not null,
  closed_until timestamp with time zone,
  changed_at timestamp with time zone not null,
  constraint one_badge_once unique (badge)
);
create table signed_in (
  -- SHA-256 of what the device holds
  token varchar(64) primary key,
  initials varchar(4) not null,
  device varchar(40) not null,
  began_at timestamp with time zone not null,
  seen_at timestamp with time zone not null
);
create table change_made (
  id bigint generated always as identity primary key,
  at timestamp with time zone not null,
  who varchar(4) not null,
  device varchar(40) not null,
  operation varchar(60) not null,
  subject varchar(200) not null
);
alter table person add column retired_at timestamp with time zone;
alter table bench_event add column device varchar(60) default '' not null;
-- SHA-256 over the event and the digest of the one before
alter table bench_event add column digest varchar(64) default '' not null;
