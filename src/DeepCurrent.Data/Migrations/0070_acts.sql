-- What was given in one act belongs together: its days and words are changed for all of it, and one link leads to it.
-- An act is named by the first of what it gave.
alter table assignment
  add column act uuid;

update assignment a
set act = x.act
from (
  select b.id,
    first_value(b.id) over (
      partition by h.id, b.visible_from, b.due_on
      order by b.assigned_at, b.id) as act
  from (
      select distinct on (i.id) i.id::uuid as assignment_id, h.id
      from change h
        cross join lateral jsonb_array_elements_text(h.detail -> 'assignmentIds') i (id)
      where h.kind in ('Assigned', 'AssignedInClasses', 'Drafted')
      order by i.id, h.at) h
    join assignment b on b.id = h.assignment_id) x
where x.id = a.id;

update assignment
set act = id
where act is null;

alter table assignment
  alter column act set not null;
create index assignment_by_act on assignment (act);
