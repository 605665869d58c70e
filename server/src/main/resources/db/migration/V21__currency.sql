-- Until now every amount was said in pounds: a shop that has any goes on in them.
insert into setting (name, text, changed_by, changed_at)
select 'currency', 'GBP', '', current_timestamp
where exists (select 1 from pump)
  and not exists (select 1 from setting where name = 'currency');
