-- A task need not be a text with its quiz: the quiz alone, a recording, a written answer, words to practise, a link.
alter table task
  add column kind text not null default 'Text'
    check (kind in ('Text', 'Quiz', 'Recording', 'Written', 'Words', 'Link')),
  add column content jsonb,
  add column questions uuid[],
  alter column text_id drop not null,
  add check ((text_id is null) = (content is not null));

alter table ticket
  alter column version_id drop not null,
  alter column forecast drop not null,
  add check ((version_id is null) = (forecast is null));

-- What a reader did for a task without a text: one reply a round, kept as it grows.
create table reply (
  ticket_id uuid not null references ticket on delete cascade,
  round int not null check (round between 1 and 20),
  words text not null default '',
  practised jsonb not null default '[]',
  at timestamptz not null,
  received_at timestamptz not null,
  mark int check (mark between 0 and 3),
  comment text not null default '',
  marked_by uuid references adult on delete set null,
  marked_at timestamptz,
  primary key (ticket_id, round)
);
create index reply_by_adult on reply (marked_by) where marked_by is not null;
