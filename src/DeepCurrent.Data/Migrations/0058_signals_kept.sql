-- What the data say a teacher should look at, and what became of it. One of a kind, reader and matter stands at a time.
create table signal (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  reader_id uuid references reader on delete cascade,
  kind text not null check (
    kind in (
      'OutOfDepth', 'NothingRead', 'FlickedThrough', 'TooFast', 'SameStrandMissed', 'BackAndForth', 'UnlikelyGoal',
      'FeedbackUnread', 'CheckDisagrees', 'QuestionMissed', 'ReadyToMoveDeeper', 'ThinEvidence')),
  about text not null,
  found jsonb not null,
  found_at timestamptz not null,
  state text not null check (state in ('New', 'Seen', 'PutOff', 'Done')),
  until date,
  step_at timestamptz,
  said_by uuid references adult on delete set null,
  said_at timestamptz,
  ended_at timestamptz,
  ended text check (ended in ('Evidence', 'Step', 'Done')),
  check ((until is not null) = (state = 'PutOff')),
  check ((ended_at is null) = (ended is null))
);
create unique index signal_standing on signal (class_id, reader_id, kind, about) nulls not distinct
  where ended_at is null;
create index signal_by_class on signal (class_id, ended_at);
create index signal_by_reader on signal (reader_id);
create index signal_by_adult on signal (said_by) where said_by is not null;

-- When a class was last looked through for signals.
alter table class add column signals_at timestamptz;
create index class_by_signals on class (signals_at) where not closed;
