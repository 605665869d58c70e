-- A setting is a number or a text; the name of the shop is one.
alter table setting alter column number drop not null;
alter table setting add column text varchar(200);
-- Until now nobody could add a pump of their own: a shop that has some is the made-up mill.
insert into setting (name, text, changed_by, changed_at)
  select 'shop-name', 'Skerrow Mill', '', current_timestamp where exists (select 1 from pump);
