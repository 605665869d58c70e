-- Grease, oil, locker and the like, by the gram or the millilitre; what they are stands in the table
-- of consumables that ships with the application.
create table consumable_lot (
  id varchar(20) primary key,
  consumable varchar(40) not null,
  best_before date,
  amount double precision not null,
  price double precision not null,
  place varchar(20) not null
);

-- Every change of such a lot; what a rebuild used among them.
create table consumable_movement (
  id bigint generated always as identity primary key,
  lot varchar(20) not null references consumable_lot,
  change double precision not null,
  kind varchar(10) not null,
  rebuild bigint,
  who varchar(4) not null,
  at timestamp with time zone not null,
  note varchar(400) not null
);
create index consumable_movement_by_lot on consumable_movement (lot, id);
create index consumable_movement_by_rebuild on consumable_movement (rebuild);

create table consumable_offer (
  consumable varchar(40) primary key,
  price double precision not null,
  lead_days int not null
);
