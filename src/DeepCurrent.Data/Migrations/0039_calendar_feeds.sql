-- A link under which a calendar program finds what is due in a class, or for one of its readers. Only its hash is kept.
create table calendar_feed (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  reader_id uuid references reader on delete cascade,
  secret text not null unique,
  made_by uuid references adult on delete set null,
  made_at timestamptz not null,
  unique nulls not distinct (class_id, reader_id)
);
create index calendar_feed_of_reader on calendar_feed (reader_id) where reader_id is not null;
create index calendar_feed_by_adult on calendar_feed (made_by) where made_by is not null;
