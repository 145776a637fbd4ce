-- What a teacher writes to a reader's family, and what is answered from home.
create table home_message (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  words text not null check (length(words) between 1 and 2000),
  written_by uuid references adult on delete set null,
  written_at timestamptz not null,
  removed_at timestamptz
);
create index home_message_by_reader on home_message (reader_id, written_at);
create index home_message_by_adult on home_message (written_by) where written_by is not null;

create table home_answer (
  id uuid primary key,
  message_id uuid not null references home_message on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  words text not null check (length(words) between 1 and 2000),
  answered_by uuid references adult on delete set null,
  answered_at timestamptz not null,
  seen_at timestamptz
);
create index home_answer_by_message on home_answer (message_id);
create index home_answer_by_reader on home_answer (reader_id);
create index home_answer_by_adult on home_answer (answered_by) where answered_by is not null;
