-- Giving is an act of its own: what is given are its tasks, to whom are its aims, and a reader's go at a task is a round.
alter table assignment
  add column draft boolean not null default false,
  add column visible_from date,
  add column heading text not null default '',
  add column note text not null default '',
  add column revision int not null default 1,
  add column chosen_text uuid references text;

-- What was due the day it was given was seen that day, whatever the clock of the database says.
update assignment
set visible_from = least(assigned_at::date, due_on), chosen_text = case when chosen then text_id end;

alter table assignment
  alter column visible_from set not null,
  add check (due_on is null or due_on >= visible_from),
  add check (chosen = (chosen_text is not null));

-- One thing to do within an assignment.
create table task (
  id uuid primary key,
  assignment_id uuid not null references assignment on delete cascade,
  position int not null check (position >= 0),
  text_id uuid not null references text,
  attempts int not null check (attempts between 1 and 3),
  on_the_way boolean not null,
  aloud boolean not null,
  unique (assignment_id, position),
  unique (assignment_id, id)
);
create index task_of_text on task (text_id);

insert into task (id, assignment_id, position, text_id, attempts, on_the_way, aloud)
select gen_random_uuid(), id, 0, text_id, attempts, on_the_way, aloud
from assignment;

-- Whom an assignment is for: everybody of a class, a group of it, or a reader of it.
create table aim (
  id uuid primary key,
  assignment_id uuid not null references assignment on delete cascade,
  class_id uuid not null references class on delete cascade,
  group_id uuid references guided_group on delete cascade,
  reader_id uuid references reader on delete cascade,
  check (group_id is null or reader_id is null),
  unique nulls not distinct (assignment_id, class_id, group_id, reader_id)
);
create index aim_of_class on aim (class_id, assignment_id);
create index aim_of_reader on aim (reader_id) where reader_id is not null;
create index aim_of_group on aim (group_id) where group_id is not null;

insert into aim (id, assignment_id, class_id, reader_id)
select gen_random_uuid(), k.assignment_id, a.class_id, k.reader_id
from ticket k join assignment a on a.id = k.assignment_id;

-- A ticket is one task for one reader, in the class in which it was given.
alter table ticket
  add column task_id uuid,
  add column class_id uuid references class on delete cascade,
  add column round int not null default 1 check (round between 1 and 20),
  drop constraint ticket_assignment_id_reader_id_key;

update ticket k
set task_id = s.id, class_id = a.class_id
from assignment a join task s on s.assignment_id = a.id
where a.id = k.assignment_id;

alter table ticket
  alter column task_id set not null,
  alter column class_id set not null,
  add foreign key (assignment_id, task_id) references task (assignment_id, id) on delete cascade,
  add unique (task_id, reader_id);
create index ticket_of_assignment on ticket (assignment_id);
create index ticket_of_class on ticket (class_id, changed_at desc);
create index ticket_planned on ticket (class_id) where state = 'Planned';

-- Sent back or given again, a ticket begins another round; every round and what was answered in it stays.
create table round (
  ticket_id uuid not null references ticket on delete cascade,
  number int not null check (number between 1 and 20),
  begun text not null check (begun in ('Given', 'SentBack', 'GivenAgain')),
  begun_at timestamptz not null,
  begun_by uuid references adult on delete set null,
  comment text not null default '',
  handed_in_at timestamptz,
  score double precision check (score between 0 and 1),
  primary key (ticket_id, number)
);
create index round_by_adult on round (begun_by) where begun_by is not null;

insert into round (ticket_id, number, begun, begun_at, begun_by, handed_in_at, score)
select k.id, 1, 'Given', a.assigned_at, a.assigned_by, k.handed_in_at, k.score
from ticket k join assignment a on a.id = k.assignment_id;

alter table answer
  add column round int not null default 1 check (round between 1 and 20),
  drop constraint answer_ticket_id_question_id_attempt_key,
  add unique (ticket_id, question_id, round, attempt);
alter table answer alter column round drop default;

-- What has moved to tasks, aims and tickets.
drop index assignment_chosen;
alter table assignment
  drop column text_id,
  drop column attempts,
  drop column on_the_way,
  drop column aloud;
create unique index assignment_chosen on assignment (class_id, chosen_text) where chosen;
