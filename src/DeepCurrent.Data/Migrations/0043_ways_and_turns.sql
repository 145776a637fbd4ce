-- How single readers do a task otherwise than the rest: tries, questions on the way, reading aloud, a day of their own.
alter table task
  add column own jsonb not null default '{}';

-- Tasks that are done one after another: those of one act have the same turn_of, and open by their turn.
-- Readers may be let change their version within reach.
alter table assignment
  add column turn_of uuid,
  add column turn int,
  add column may_change boolean not null default false,
  add check ((turn_of is null) = (turn is null)),
  add check (turn is null or turn between 0 and 200);
create index assignment_by_turn on assignment (turn_of) where turn_of is not null;

-- The version that was given, where its reader changed it.
alter table ticket
  add column given_version_id uuid references version on delete set null;
create index ticket_by_given_version on ticket (given_version_id) where given_version_id is not null;
