-- Figures that pages show, reckoned anew from the tables and by no code of the application. One JSON document.
-- psql variables: class, its id; from and until, instants; assignment, an id.
with mine as (
  select reader_id from enrolment where class_id = :'class' and to_day is null
),
tickets as (
  select k.id, k.reader_id, k.state, k.full_reading, k.active_seconds, k.opened_at, k.handed_in_at, k.score,
    (select words from version where id = k.version_id) as words,
    case when k.handed_in_at is null then k.changed_at else k.handed_in_at end as at
  from ticket k
  where k.reader_id in (select reader_id from mine) and k.version_id is not null and k.state <> 'TakenBack'
),
within as (
  select * from tickets where at >= :'from' and at < :'until'
),
tried as (
  select t.reader_id, t.id as ticket_id, w.question_id,
    min(w.correct::int) filter (where w.round = 1 and w.attempt = 1) as first, max(w.correct::int) as ever
  from within t, answer w, question q
  where t.handed_in_at is not null
    and w.ticket_id = t.id
    and q.id = w.question_id
    and q.place is null
    and q.retired = false
    and w.too_fast = false
  group by t.reader_id, t.id, w.question_id
),
readers as (
  select m.reader_id,
    (select count(*) from within t where t.reader_id = m.reader_id and t.full_reading) as readings,
    (select count(*) from within t
     where t.reader_id = m.reader_id and not t.full_reading and t.opened_at is not null) as openings,
    (select coalesce(sum(t.words), 0) from within t where t.reader_id = m.reader_id and t.full_reading) as words,
    (select coalesce(round(sum(t.active_seconds)), 0) from within t
     where t.reader_id = m.reader_id and t.full_reading) as seconds,
    (select count(*) from within t
     where t.reader_id = m.reader_id and t.score is not null and t.handed_in_at is not null) as quizzes,
    (select count(*) from tried x where x.reader_id = m.reader_id and x.first = 1) as at_once,
    (select count(*) from tried x where x.reader_id = m.reader_id and x.first = 0 and x.ever = 1) as later,
    (select count(*) from tried x where x.reader_id = m.reader_id and x.first = 0 and x.ever = 0) as not_yet
  from mine m
),
done as (
  select k.id, k.reader_id, k.full_reading
  from ticket k
  where k.assignment_id = :'assignment' and k.handed_in_at is not null and k.state not in ('TakenBack', 'Closed')
),
firsts as (
  select d.reader_id, w.question_id, w.correct, w.too_fast
  from done d, answer w, question q
  where w.ticket_id = d.id
    and w.round = 1
    and w.attempt = 1
    and q.id = w.question_id
    and q.place is null
    and q.retired = false
),
counted as (
  select d.reader_id
  from done d
  where d.full_reading
    and 2 * (select count(*) from firsts f where f.reader_id = d.reader_id and f.too_fast)
      < (select count(*) from firsts f where f.reader_id = d.reader_id)
),
questions as (
  select f.question_id, count(*) filter (where f.correct is not null) as answered,
    count(*) filter (where f.correct) as right_ones
  from firsts f
  where f.reader_id in (select reader_id from counted)
  group by f.question_id
),
goals as (
  select m.reader_id,
    (select coalesce(sum(t.words), 0) from within t
     where t.reader_id = m.reader_id and t.state = 'Released' and t.full_reading and t.handed_in_at is not null
       and t.score >= (select s.understood_from from school s, class c where c.id = :'class' and s.id = c.school_id)
    ) as words,
    (select round(100 * avg(t.score)) from within t
     where t.reader_id = m.reader_id and t.state = 'Released' and t.handed_in_at is not null) as comprehension
  from mine m
)
select json_build_object(
  'goals', (select json_agg(g) from goals g),
  'readers', (select json_agg(r) from readers r),
  'handedIn', (select count(*) from done),
  'counted', (select count(*) from counted),
  'questions', (select json_agg(q) from questions q));
