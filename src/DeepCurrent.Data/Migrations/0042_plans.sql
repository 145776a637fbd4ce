-- Saved lists of tasks, to be laid on the days of a class again and again.
create table plan (
  id uuid primary key,
  school_id uuid not null references school on delete cascade,
  owner_id uuid references adult on delete set null,
  name text not null check (length(name) between 1 and 80),
  mine boolean not null,
  in_order boolean not null,
  items jsonb not null,
  revision int not null default 1,
  changed_at timestamptz not null,
  deleted_at timestamptz
);
create index plan_of_school on plan (school_id) where deleted_at is null;
create index plan_by_owner on plan (owner_id) where owner_id is not null;
