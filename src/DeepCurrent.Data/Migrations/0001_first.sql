-- Schools, people and time.
create table school (
  id uuid primary key,
  name text not null,
  time_zone text not null,
  passing_score double precision not null default 0.6 check (passing_score between 0 and 1),
  zone_low double precision not null default 0.7,
  zone_high double precision not null default 0.9,
  minutes_a_day int not null default 15 check (minutes_a_day between 1 and 240),
  created_at timestamptz not null,
  check (0 < zone_low and zone_low < zone_high and zone_high < 1)
);

create table adult (
  id uuid primary key,
  school_id uuid not null references school,
  name text not null,
  user_name text not null,
  password_hash text not null,
  stamp uuid not null
);
create unique index adult_user_name on adult (lower(user_name));

create table school_year (
  id uuid primary key,
  school_id uuid not null references school,
  name text not null,
  first_day date not null,
  last_day date not null check (last_day > first_day)
);

create table term (
  id uuid primary key,
  school_year_id uuid not null references school_year on delete cascade,
  name text not null,
  first_day date not null,
  last_day date not null check (last_day >= first_day)
);
create index term_of_year on term (school_year_id, first_day);

create table day_off (
  school_year_id uuid not null references school_year on delete cascade,
  day date not null,
  primary key (school_year_id, day)
);

create table class (
  id uuid primary key,
  school_id uuid not null references school,
  school_year_id uuid not null references school_year,
  name text not null,
  code text not null unique,
  created_at timestamptz not null
);
create index class_of_school on class (school_id);

create table class_adult (
  class_id uuid not null references class on delete cascade,
  adult_id uuid not null references adult on delete cascade,
  role text not null check (role in ('teacher', 'co-teacher', 'assistant')),
  primary key (class_id, adult_id)
);
create index class_adult_by_adult on class_adult (adult_id);

-- Readers. The secret is kept enciphered, not hashed, because cards are printed again from it.
create table reader (
  id uuid primary key,
  school_id uuid not null references school,
  given_name text not null,
  family_name text not null,
  user_name text not null,
  grade int not null check (grade between 0 and 12),
  secret text not null,
  stamp uuid not null,
  prior_mean double precision not null,
  prior_sd double precision not null check (prior_sd > 0),
  prior_at timestamptz not null,
  depth_mean double precision not null,
  depth_sd double precision not null,
  depth_low double precision not null,
  depth_high double precision not null,
  depth_at timestamptz not null,
  created_at timestamptz not null
);
create unique index reader_user_name on reader (school_id, user_name);

create table enrolment (
  class_id uuid not null references class on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  from_day date not null,
  to_day date,
  primary key (class_id, reader_id, from_day)
);
create index enrolment_by_reader on enrolment (reader_id);

-- Texts. school_id is null for the texts that ship.
create table text (
  id uuid primary key,
  school_id uuid references school,
  slug text not null,
  title text not null,
  kind text not null,
  topic text not null,
  fiction boolean not null,
  spelling text not null,
  blurb text not null,
  created_at timestamptz not null,
  unique nulls not distinct (school_id, slug)
);

create table version (
  id uuid primary key,
  text_id uuid not null references text on delete cascade,
  label text not null,
  position int not null,
  pages jsonb not null,
  words int not null check (words > 0),
  depth double precision not null,
  depth_error double precision not null,
  measure jsonb not null,
  unique (text_id, position)
);

create table word (
  text_id uuid not null references text on delete cascade,
  position int not null,
  word text not null,
  part text not null,
  meaning text not null,
  example text not null,
  primary key (text_id, position)
);

create table question (
  id uuid primary key,
  text_id uuid not null references text on delete cascade,
  position int not null,
  strand text not null,
  stem text not null,
  choices jsonb not null,
  proofs jsonb not null,
  unique (text_id, position)
);

-- Assignments and tickets.
create table assignment (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  text_id uuid not null references text,
  assigned_by uuid not null references adult,
  assigned_at timestamptz not null,
  due_on date,
  attempts int not null check (attempts between 1 and 3),
  directions text not null default ''
);
create index assignment_of_class on assignment (class_id, assigned_at desc);

create table ticket (
  id uuid primary key,
  assignment_id uuid not null references assignment on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  version_id uuid not null references version,
  state text not null check (state in ('planned', 'waiting', 'under way', 'handed in', 'to mark', 'marked', 'released', 'sent back', 'withdrawn')),
  forecast double precision not null,
  opened_at timestamptz,
  page int not null default 0,
  handed_in_at timestamptz,
  score double precision check (score between 0 and 1),
  before_mean double precision,
  before_sd double precision,
  after_mean double precision,
  after_sd double precision,
  changed_at timestamptz not null,
  unique (assignment_id, reader_id)
);
create index ticket_of_reader on ticket (reader_id, handed_in_at desc);

create table answer (
  id uuid primary key,
  ticket_id uuid not null references ticket on delete cascade,
  question_id uuid not null references question,
  attempt int not null check (attempt between 1 and 3),
  choice int not null,
  correct boolean not null,
  at timestamptz not null,
  milliseconds int not null check (milliseconds >= 0),
  rushed boolean not null,
  unique (ticket_id, question_id, attempt)
);

create table spell (
  id uuid primary key,
  ticket_id uuid not null references ticket on delete cascade,
  page int not null,
  seconds double precision not null check (seconds between 0 and 86400),
  started_at timestamptz not null
);
create index spell_of_ticket on spell (ticket_id);

-- Evidence, and the depth it comes to.
create table evidence (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  at timestamptz not null,
  kind text not null check (kind in ('answer', 'level', 'running record')),
  difficulty double precision,
  guess double precision,
  correct boolean,
  value double precision,
  sd double precision,
  text_depth double precision,
  words int,
  errors int,
  strand text,
  ticket_id uuid references ticket on delete cascade,
  left_out text,
  note text not null default '',
  adult_id uuid references adult,
  check (kind <> 'answer' or (difficulty is not null and guess is not null and correct is not null)),
  check (kind <> 'level' or (value is not null and sd > 0)),
  check (kind <> 'running record' or (text_depth is not null and words > 0 and errors >= 0))
);
create index evidence_of_reader on evidence (reader_id, at);

create table depth_day (
  reader_id uuid not null references reader on delete cascade,
  day date not null,
  mean double precision not null,
  sd double precision not null,
  low double precision not null,
  high double precision not null,
  primary key (reader_id, day)
);

-- Goals and groups. An earlier goal stays when it is changed.
create table goal (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  term_id uuid not null references term on delete cascade,
  kind text not null check (kind in ('comprehension', 'words')),
  target double precision not null check (target > 0),
  reason text not null default '',
  set_by uuid not null references adult,
  set_at timestamptz not null,
  replaced_at timestamptz
);
create unique index goal_now on goal (reader_id, term_id, kind) where replaced_at is null;

create table guided_group (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  name text not null,
  position int not null,
  formed_at timestamptz not null,
  closed_at timestamptz
);
create index group_of_class on guided_group (class_id) where closed_at is null;

create table group_member (
  group_id uuid not null references guided_group on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  primary key (group_id, reader_id)
);
create index group_member_by_reader on group_member (reader_id);

-- What was changed, by whom, and how to take it back.
create table change (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  adult_id uuid not null references adult,
  at timestamptz not null,
  kind text not null,
  summary text not null,
  detail jsonb not null,
  undone_at timestamptz
);
create index change_of_class on change (class_id, at desc);

create table data_protection_key (
  id int generated always as identity primary key,
  name text not null,
  xml text not null
);
