-- A class's year for the bench: each of its readers hands in so many texts, copied from one of the demo's tickets and
-- moved through the days. psql variables: class, its name; readings, how many for each reader; answers, whether they have
-- answers, too.
create temp table source as
select k.id as ticket_id, k.task_id, k.assignment_id
from ticket k
where k.score is not null and k.full_reading
order by (select count(*) from answer w where w.ticket_id = k.id and w.round = 1) desc
limit 1;

create temp table given as
select n, gen_random_uuid() as assignment_id, gen_random_uuid() as task_id, c.id as class_id,
  now() - n * interval '2.4 days' as at
from generate_series(1, :readings) n cross join class c
where c.name = :'class';

insert into assignment
select (jsonb_populate_record(a, jsonb_build_object(
  'id', g.assignment_id, 'class_id', g.class_id, 'assigned_at', g.at, 'turn_of', null, 'turn', null, 'act', g.assignment_id))).*
from given g cross join assignment a
where a.id = (select assignment_id from source);

insert into task
select (jsonb_populate_record(y, jsonb_build_object('id', g.task_id, 'assignment_id', g.assignment_id))).*
from given g cross join task y
where y.id = (select task_id from source);

create temp table copied as
select gen_random_uuid() as ticket_id, e.reader_id, g.*
from given g join enrolment e on e.class_id = g.class_id;

insert into ticket
select (jsonb_populate_record(k, jsonb_build_object(
  'id', c.ticket_id, 'assignment_id', c.assignment_id, 'task_id', c.task_id, 'reader_id', c.reader_id,
  'class_id', c.class_id, 'opened_at', c.at, 'handed_in_at', c.at, 'changed_at', c.at, 'round', 1))).*
from copied c cross join ticket k
where k.id = (select ticket_id from source);

insert into round
select (jsonb_populate_record(d, jsonb_build_object('ticket_id', c.ticket_id, 'handed_in_at', c.at))).*
from copied c cross join round d
where d.ticket_id = (select ticket_id from source) and d.number = 1;

insert into answer
select (jsonb_populate_record(w, jsonb_build_object(
  'id', gen_random_uuid(), 'ticket_id', c.ticket_id, 'correct', random() < 0.75, 'at', c.at, 'too_fast', false))).*
from copied c cross join answer w
where w.ticket_id = (select ticket_id from source) and w.round = 1 and w.attempt = 1 and :answers;

insert into depth_day (reader_id, day, mean, sd, low, high)
select e.reader_id, current_date - n, 30 - n / 60.0, 2, 27 - n / 60.0, 33 - n / 60.0
from enrolment e join class c on c.id = e.class_id cross join generate_series(1, 290) n
where c.name = :'class'
on conflict do nothing;

analyze;
select assignment_id from given where n = 1;
