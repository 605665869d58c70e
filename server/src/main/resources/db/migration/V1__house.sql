create table person (
  initials varchar(4) primary key,
  role varchar(20) not null,
  licensed_electrical boolean not null
);
create table pump (
  tag varchar(20) primary key,
  area varchar(60) not null,
  area_position int not null,
  family varchar(30) not null,
  series varchar(60) not null,
  serial varchar(40) not null,
  sheet_id varchar(80),
  duty_title varchar(120) not null,
  duty_note varchar(120) not null,
  role varchar(20) not null,
  material varchar(20) not null,
  body_material varchar(20) not null,
  running_hours double precision not null,
  strokes double precision not null,
  hours_per_day double precision not null,
  interval_hours double precision not null,
  abrasion varchar(10) not null,
  suction_lift_m double precision not null,
  consequence varchar(10) not null,
  fitted_on date not null,
  fitted_at_hours double precision not null,
  plan_on date
);
create table exposure (
  pump varchar(20) not null references pump,
  position int not null,
  fluid varchar(60) not null,
  concentration_pct double precision not null,
  temperature_c double precision not null,
  share double precision not null,
  note varchar(120) not null,
  primary key (pump, position)
);
create table run (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  role varchar(20) not null,
  material varchar(20) not null,
  duty_group varchar(60) not null,
  fitted_on date not null,
  ended_on date not null,
  hours double precision not null,
  failed boolean not null,
  cause varchar(200) not null
);
create index run_by_group on run (role, material, duty_group);
create index run_by_pump on run (pump, fitted_on);
create table lot (
  id varchar(20) primary key,
  sheet_id varchar(80) not null,
  kit varchar(60) not null,
  title varchar(120) not null,
  material varchar(20) not null,
  cured date not null,
  quantity int not null,
  price double precision not null,
  place varchar(20) not null
);
create table wrench (
  id varchar(20) primary key,
  min_nm double precision not null,
  max_nm double precision not null,
  calibrated_until date not null,
  clicks boolean not null
);
create table sheet (
  id varchar(80) not null,
  revision int not null,
  source clob not null,
  stored_at timestamp with time zone not null,
  primary key (id, revision)
);
create table rebuild (
  id bigint generated always as identity primary key,
  pump varchar(20) not null references pump,
  sheet_id varchar(80) not null,
  sheet_revision int not null,
  opened_at timestamp with time zone not null,
  opened_by varchar(4) not null,
  reason varchar(2000) not null,
  fitted_material varchar(20) not null,
  hours_then double precision not null,
  closed_at timestamp with time zone
);
create index rebuild_by_pump on rebuild (pump, closed_at);
create table bench_event (
  rebuild bigint not null references rebuild,
  seq bigint not null,
  act_key varchar(36) not null,
  at timestamp with time zone not null,
  who varchar(4) not null,
  lead boolean not null,
  kind varchar(20) not null,
  step varchar(80) not null,
  subject varchar(80) not null,
  pass int not null,
  fastener int not null,
  reading double precision,
  unit varchar(20) not null,
  text varchar(2000) not null,
  items varchar(4000) not null,
  primary key (rebuild, seq),
  constraint one_act_once unique (act_key)
);
