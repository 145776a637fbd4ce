-- What a reader reached elsewhere, as a teacher typed it: nothing here scores it, no level goes by it.
create table typed_result (
  ticket_id uuid primary key references ticket on delete cascade,
  points double precision not null check (points >= 0),
  of_points integer not null check (of_points between 1 and 1000),
  typed_by uuid references adult on delete set null,
  typed_at timestamptz not null,
  check (points <= of_points)
);
create index typed_result_by_adult on typed_result (typed_by) where typed_by is not null;
