-- Marked work can be released by itself from a day on, and says what it is worth in the gradebook (0: not in it).
alter table assignment
  add column releases_on date,
  add column worth int not null default 100 check (worth between 0 and 1000);
create index assignment_by_release on assignment (releases_on) where releases_on is not null;

-- How long a reader had a result before them.
create table feedback_spell (
  id uuid primary key,
  ticket_id uuid not null references ticket on delete cascade,
  seconds double precision not null check (seconds between 0 and 86400),
  started_at timestamptz not null
);
create index feedback_spell_of_ticket on feedback_spell (ticket_id);

-- What a reader says to a teacher's comment: to one answer, or to a written task (no answer).
create table comment_reply (
  ticket_id uuid not null references ticket on delete cascade,
  answer_id uuid references answer on delete cascade,
  words text not null check (length(words) between 1 and 1000),
  at timestamptz not null,
  seen_at timestamptz,
  unique nulls not distinct (ticket_id, answer_id)
);
create index comment_reply_by_answer on comment_reply (answer_id) where answer_id is not null;

-- Missed questions that an adult and the reader have gone through together.
create table talked_over (
  ticket_id uuid not null references ticket on delete cascade,
  question_id uuid not null references question on delete cascade,
  by_adult uuid references adult on delete set null,
  at timestamptz not null,
  primary key (ticket_id, question_id)
);
create index talked_over_by_question on talked_over (question_id);
create index talked_over_by_adult on talked_over (by_adult) where by_adult is not null;
