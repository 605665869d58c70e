-- Readings taken at the bench before there was a table of them. They stood in their events only;
-- now every reading of a part and of the proof is found in one place.

insert into reading (pump, subject, measure, unit, reading, taken_at, hours, who, gauge, overdue,
  rebuild, last_of_part)
select r.pump,
  case when e.kind = 'PROVED' then 'proof' else e.subject end,
  case when e.kind = 'PROVED' then e.subject else e.step end,
  e.unit, e.reading, e.at, r.hours_then, e.who, '', false, r.id, false
from bench_event e join rebuild r on r.id = e.rebuild
where e.reading is not null
  and (e.kind = 'PROVED' or (e.kind in ('JUDGED', 'MEASURED') and e.step <> ''))
  and not exists (select 1 from reading m where m.rebuild = e.rebuild and m.taken_at = e.at);

create index reading_by_rebuild on reading (rebuild, taken_at);

-- A judgement holds all its readings now, and a booked lot the materials that it brings.
alter table bench_event alter column items set data type varchar(100000);
