-- A group coming together once, planned or held, with its teaching point, and what was seen of each reader.
create table meeting (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  group_id uuid not null references guided_group on delete cascade,
  day date not null,
  starts_at text check (starts_at ~ '^[0-2][0-9]:[0-5][0-9]$'),
  minutes int not null check (minutes between 5 and 180),
  text_id uuid references text on delete set null,
  point text not null check (point in ('Strand', 'Fluency', 'Words')),
  strand text,
  words text not null check (length(words) <= 200),
  made_by uuid references adult on delete set null,
  made_at timestamptz not null,
  begun_at timestamptz,
  ended_at timestamptz,
  removed_at timestamptz
);
create index meeting_by_day on meeting (class_id, day);
create index meeting_by_group on meeting (group_id, day);
create index meeting_by_text on meeting (text_id) where text_id is not null;
create index meeting_by_adult on meeting (made_by) where made_by is not null;

create table meeting_seen (
  meeting_id uuid not null references meeting on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  here boolean not null,
  mark text check (mark in ('NotYet', 'WithHelp', 'Alone')),
  observed text[] not null,
  note text not null check (length(note) <= 1000),
  by_adult uuid references adult on delete set null,
  at timestamptz not null,
  primary key (meeting_id, reader_id)
);
create index meeting_seen_by_reader on meeting_seen (reader_id);
create index meeting_seen_by_adult on meeting_seen (by_adult) where by_adult is not null;
