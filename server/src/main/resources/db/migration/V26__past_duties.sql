-- Duties that a pump had before the one it has now: its runs of that time count by them.
create table past_duty (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  until_on date not null,
  duty varchar(8000) not null,
  changed_by varchar(10) not null,
  changed_at timestamp with time zone not null
);
create index past_duty_of_pump on past_duty (pump, until_on);
