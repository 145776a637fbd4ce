-- Papers of a teacher's own that go with an assignment. One that goes with a deleted draft stays, for undoing.
create table paper (
  id uuid primary key,
  school_id uuid not null references school on delete cascade,
  assignment_id uuid not null,
  name text not null check (length(name) between 1 and 120),
  kind text not null check (kind in ('Pdf', 'Png', 'Jpeg')),
  bytes bytea not null,
  each_own boolean not null,
  added_by uuid references adult on delete set null,
  added_at timestamptz not null,
  removed_at timestamptz
);
create index paper_of_school on paper (school_id);
create index paper_of_assignment on paper (assignment_id);
create index paper_by_adult on paper (added_by) where added_by is not null;

-- What a reader drew and wrote on their copy, in one round.
create table paper_copy (
  paper_id uuid not null references paper on delete cascade,
  ticket_id uuid not null references ticket on delete cascade,
  round int not null check (round between 1 and 20),
  strokes jsonb not null,
  at timestamptz not null,
  primary key (ticket_id, paper_id, round)
);
create index paper_copy_of_paper on paper_copy (paper_id);
