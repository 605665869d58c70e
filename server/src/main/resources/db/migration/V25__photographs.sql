-- Photographs of a job: small JPEG pictures as base64, of a part, a step, an energy or the whole,
-- and what was drawn on them.
create table photograph (
  id bigint generated always as identity primary key,
  rebuild bigint not null references rebuild,
  of_kind varchar(20) not null,
  subject varchar(80) not null,
  stage varchar(20) not null,
  taken_by varchar(4) not null,
  taken_at timestamp with time zone not null,
  width int not null,
  height int not null,
  bytes int not null,
  marks varchar(8000) not null,
  act_key varchar(60) not null,
  picture clob not null,
  unique (rebuild, act_key)
);
create index photograph_by_subject on photograph (of_kind, subject);
