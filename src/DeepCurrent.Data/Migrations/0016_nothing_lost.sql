-- When the server heard of an answer, beside when it was given: without a network the two lie apart.
alter table answer add column received_at timestamptz;
update answer set received_at = at;
alter table answer alter column received_at set not null;

alter table check_answer add column received_at timestamptz;
update check_answer set received_at = at;
alter table check_answer alter column received_at set not null;

-- When a text was handed in by the reader's own account, and when the server heard of it.
alter table ticket add column received_at timestamptz;
update ticket set received_at = handed_in_at;

-- What a reader did and the server could not take: kept as it was sent, so that nobody's work is gone without a word.
create table set_aside (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  ticket_id uuid references ticket on delete cascade,
  sitting_id uuid references sitting on delete cascade,
  kind text not null check (kind in ('Answer', 'Reading', 'Recording', 'HandIn')),
  answers int not null check (answers >= 0),
  code text not null,
  body jsonb not null,
  given_at timestamptz not null,
  made_at timestamptz not null,
  check (num_nonnulls(ticket_id, sitting_id) = 1)
);
create index set_aside_of_reader on set_aside (reader_id);
create index set_aside_of_ticket on set_aside (ticket_id) where ticket_id is not null;
create index set_aside_of_sitting on set_aside (sitting_id) where sitting_id is not null;
