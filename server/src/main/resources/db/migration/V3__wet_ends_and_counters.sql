create table wet_end (
  pump varchar(20) primary key references pump,
  hardware varchar(60) not null,
  rotor_class_mm double precision not null,
  parts varchar(400) not null,
  stop_cost double precision not null,
  pressure_bar double precision,
  viscosity_mpas double precision,
  density_kg_m3 double precision,
  solids_mm double precision,
  solids_pct double precision,
  solids_mohs double precision,
  ambient_c double precision,
  food boolean,
  zone varchar(10),
  runs_dry boolean,
  changed_by varchar(4) not null,
  changed_at timestamp with time zone
);
alter table exposure add column usual_c double precision;
alter table exposure add column kind varchar(10) default 'process' not null;
alter table lot add column hardware varchar(60) default '' not null;
create table wet_kit (
  sheet_id varchar(80) not null,
  kit varchar(60) not null,
  material varchar(20) not null,
  hardware varchar(60) not null,
  parts varchar(400) not null,
  price double precision not null,
  lead_days int not null,
  primary key (sheet_id, kit, material, hardware)
);
create table own_row (
  id bigint generated always as identity primary key,
  table_name varchar(20) not null,
  row_key varchar(300) not null,
  line varchar(4000) not null,
  written_by varchar(4) not null,
  written_at timestamp with time zone not null,
  ended_by varchar(4),
  ended_at timestamp with time zone
);
create index own_row_by_key on own_row (table_name, row_key);
create table finding (
  id bigint generated always as identity primary key,
  pump varchar(20) references pump,
  material varchar(20) not null,
  fluid varchar(60) not null,
  concentration_pct double precision not null,
  temperature_c double precision not null,
  kind varchar(10) not null,
  reading double precision not null,
  note varchar(2000) not null,
  found_by varchar(4) not null,
  found_at timestamp with time zone not null
);
create index finding_by_pair on finding (fluid, material);
create index run_by_material on run (material, duty_group);
create table counter_reading (
  pump varchar(20) not null references pump,
  kind varchar(10) not null,
  at timestamp with time zone not null,
  reading double precision not null,
  brought_by varchar(4) not null,
  brought_at timestamp with time zone not null,
  primary key (pump, kind, at)
);
