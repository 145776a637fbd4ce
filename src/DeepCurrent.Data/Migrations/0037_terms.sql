-- When work closes, how much it is wanted, and where it is done; a reader's own last day; a reminder until it is opened.
alter table assignment
  add column closes_on date,
  add column need text not null default 'Required' check (need in ('Required', 'Extra', 'Recommended')),
  add column place text not null default 'Anywhere' check (place in ('Anywhere', 'AtSchool', 'AtHome')),
  add check (closes_on is null or closes_on >= coalesce(due_on, visible_from)),
  add check (need <> 'Recommended' or due_on is null);
create index assignment_closing on assignment (closes_on) where closes_on is not null;

alter table ticket
  add column due_on date,
  add column reminded_at timestamptz;

-- Handed in by its last day, not by its reader: what was not answered is not wrong then.
alter table round add column closed boolean not null default false;
