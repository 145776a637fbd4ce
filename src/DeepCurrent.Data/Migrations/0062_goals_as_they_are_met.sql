-- Days a reader was not at school. Goals go by the days that were there.
create table absence (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  from_day date not null,
  to_day date not null check (to_day >= from_day),
  reason text not null,
  set_by uuid references adult on delete set null,
  set_at timestamptz not null,
  removed_at timestamptz
);
create index absence_of_reader on absence (reader_id, from_day);
create index absence_by_adult on absence (set_by) where set_by is not null;

-- What was just missed may be called met for a while, with a reason.
alter table goal
  add column met_reason text,
  add column met_by uuid references adult on delete set null,
  add column met_at timestamptz,
  add check ((met_reason is null) = (met_at is null));
create index goal_met_by on goal (met_by) where met_by is not null;

-- The comprehension a school aims at, by grade.
alter table school add column aims jsonb not null default '[]';
