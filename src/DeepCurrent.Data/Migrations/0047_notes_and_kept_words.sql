-- What a reader marked in a text, and wrote to it; what the teacher answered.
create table note (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  ticket_id uuid not null references ticket on delete cascade,
  page int not null check (page between 0 and 200),
  quote text not null check (length(quote) between 1 and 800),
  words text not null default '' check (length(words) <= 2000),
  at timestamptz not null,
  removed_at timestamptz,
  answer text not null default '' check (length(answer) <= 2000),
  answered_by uuid references adult on delete set null,
  answered_at timestamptz,
  answer_seen_at timestamptz
);
create index note_of_ticket on note (ticket_id);
create index note_of_reader on note (reader_id);
create index note_answered_by on note (answered_by) where answered_by is not null;

-- Words that a reader keeps to practise, with every try.
create table kept_word (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  ticket_id uuid references ticket on delete set null,
  text text not null,
  meaning text not null,
  example text not null,
  kept_at timestamptz not null,
  removed_at timestamptz,
  tries jsonb not null default '[]',
  unique (reader_id, text)
);
create index kept_word_of_ticket on kept_word (ticket_id) where ticket_id is not null;
