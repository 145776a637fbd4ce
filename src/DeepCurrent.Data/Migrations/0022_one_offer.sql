-- A reader is on offer to one school at a time, also where two lead teachers offer at once.
update transfer t set decided_at = now(), taken = false
where decided_at is null and exists (
  select 1 from transfer o where o.reader_id = t.reader_id and o.decided_at is null and (o.asked_at, o.id) < (t.asked_at, t.id));
create unique index transfer_one_open on transfer (reader_id) where decided_at is null;
