-- What readers think of texts, and what they say to others; others see it once a teacher has approved it.
create table rating (
  reader_id uuid not null references reader on delete cascade,
  text_id uuid not null references text on delete cascade,
  liking text not null check (liking in ('NotForMe', 'AllRight', 'Good', 'Favourite')),
  words text not null default '' check (length(words) <= 300),
  at timestamptz not null,
  approval text not null default 'None' check (approval in ('None', 'Waiting', 'Approved', 'Kept')),
  approved_by uuid references adult on delete set null,
  approved_at timestamptz,
  primary key (reader_id, text_id)
);
create index rating_of_text on rating (text_id);
create index rating_waiting on rating (reader_id) where approval = 'Waiting';
create index rating_approved_by on rating (approved_by) where approved_by is not null;

-- Written answers that are open for talk: readers see one another's when they have answered.
alter table assignment add column talk boolean not null default false;

-- What one reader may choose for themselves otherwise than their class.
alter table reader add column own_choice jsonb not null default '{}';

-- What a reader says to a teacher's answer.
alter table note
  add column reply text not null default '' check (length(reply) <= 2000),
  add column replied_at timestamptz;

-- Several hand in one answer: whom its writer named, and whose it is for the others.
alter table reply
  add column partners uuid[] not null default '{}',
  add column written_with uuid references ticket on delete set null;
create index reply_written_with on reply (written_with) where written_with is not null;

-- What words mean in a home's language, for the texts that ship.
create table word_meaning (
  language text not null,
  word text not null,
  part text not null,
  meaning text not null,
  primary key (language, word, part)
);

-- The same directions in the language of the home, for readers who speak it.
alter table assignment
  add column home_language text not null default '' check (length(home_language) <= 8),
  add column home_directions text not null default '' check (length(home_directions) <= 500);
