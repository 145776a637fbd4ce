-- Level checks: what was given to whom, how far each reader has come, and what was answered.
create table level_check (
  id uuid primary key,
  school_id uuid not null references school,
  school_year_id uuid not null references school_year,
  season text check (season in ('autumn', 'winter', 'spring')),
  staff_title text not null,
  reader_title text not null,
  directions text not null default '',
  plan jsonb not null,
  draft boolean not null,
  opens_on date,
  closes_on date,
  closed_at timestamptz,
  gone_at timestamptz,
  made_by uuid not null references adult,
  made_at timestamptz not null,
  revision int not null default 1,
  check (closes_on is null or opens_on is null or closes_on >= opens_on)
);
create index level_check_of_school on level_check (school_id, school_year_id, made_at desc);
create index level_check_to_close on level_check (closes_on) where closed_at is null and closes_on is not null and not draft;

-- Who a draft is meant for; sittings are made when it is given.
create table check_aim (
  check_id uuid not null references level_check on delete cascade,
  kind text not null check (kind in ('class', 'group', 'reader', 'grade')),
  key text not null,
  primary key (check_id, kind, key)
);

create table check_colleague (
  check_id uuid not null references level_check on delete cascade,
  adult_id uuid not null references adult on delete cascade,
  primary key (check_id, adult_id)
);
create index check_colleague_by_adult on check_colleague (adult_id);

-- One reader's copy of one level check.
create table sitting (
  id uuid primary key,
  check_id uuid not null references level_check on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  class_id uuid references class on delete set null,
  grade int not null,
  made_at timestamptz not null,
  before_mean double precision not null,
  before_sd double precision not null,
  after_mean double precision,
  after_sd double precision,
  changed_at timestamptz not null,
  withdrawn_at timestamptz,
  unique (check_id, reader_id)
);
create index sitting_of_reader on sitting (reader_id);
create index sitting_of_class on sitting (class_id);

-- One part of a sitting; a part that is given again is a further round.
create table sitting_part (
  id uuid primary key,
  sitting_id uuid not null references sitting on delete cascade,
  part text not null check (part in ('WordReading', 'WordMeaning', 'Maze', 'Passages')),
  round int not null,
  position int not null,
  state text not null check (state in ('Waiting', 'UnderWay', 'Done', 'Skipped')),
  note text not null default '',
  flag text not null default 'Fine' check (flag in ('Fine', 'Rushed', 'Thin', 'Missing')),
  answered int not null default 0,
  asked int not null default 0,
  correct int not null default 0,
  rushed int not null default 0,
  seconds double precision not null default 0,
  score double precision,
  started_at timestamptz,
  finished_at timestamptz,
  unique (sitting_id, part, round)
);

-- What was put to the reader at once: some words, a maze passage, a passage with its questions. Right answers stay here.
create table stage (
  id uuid primary key,
  part_id uuid not null references sitting_part on delete cascade,
  position int not null,
  version_id uuid references version on delete set null,
  text_id uuid references text on delete set null,
  title text not null default '',
  text_depth double precision,
  pages jsonb,
  items jsonb not null,
  seconds double precision not null default 0,
  served_at timestamptz not null,
  done_at timestamptz,
  unique (part_id, position)
);
create index stage_by_version on stage (version_id);
create index stage_by_text on stage (text_id);

create table check_answer (
  id uuid primary key,
  stage_id uuid not null references stage on delete cascade,
  item int not null,
  pick int not null,
  correct boolean not null,
  rushed boolean not null,
  at timestamptz not null,
  milliseconds int not null check (milliseconds >= 0),
  unique (stage_id, item)
);

alter table evidence add column part_id uuid references sitting_part on delete cascade;
create index evidence_of_part on evidence (part_id) where part_id is not null;

-- What readers' answers say of a single question: how much harder it is than was thought.
alter table question
  add column shown_harder double precision,
  add column shown_harder_sd double precision,
  add column shown_answers int not null default 0;
