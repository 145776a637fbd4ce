-- Pictures of texts that teachers bring. A copy of a text shows the same pictures.
create table picture (
  id uuid primary key,
  school_id uuid not null references school on delete cascade,
  type text not null check (type in ('image/png', 'image/jpeg')),
  bytes bytea not null,
  created_at timestamptz not null
);
create index picture_of_school on picture (school_id);
