-- What readers choose for themselves is an assignment that nobody gave: one a class and text, with a ticket for each reader who chose it.
alter table assignment
  alter column assigned_by drop not null,
  add column chosen boolean not null default false,
  add check (chosen or assigned_by is not null);
create unique index assignment_chosen on assignment (class_id, text_id) where chosen;

-- Word decks of a teacher's own.
create table deck (
  id uuid primary key,
  school_id uuid not null references school on delete cascade,
  owner_id uuid references adult on delete set null,
  name text not null check (name <> ''),
  mine boolean not null,
  words jsonb not null,
  revision int not null default 1,
  changed_at timestamptz not null
);
create index deck_of_school on deck (school_id, name);
create index deck_by_owner on deck (owner_id) where owner_id is not null;
