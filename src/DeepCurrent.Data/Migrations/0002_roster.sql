-- The school's own choices: level chart, secrets by grade, what cards show, what guardians may see.
alter table school
  add column level_chart jsonb,
  add column pictures_to int not null default 4 check (pictures_to between -1 and 12),
  add column codes_to int not null default 7 check (codes_to between -1 and 12),
  add column surnames_on_cards boolean not null default false,
  add column guardians_allowed boolean not null default true,
  add column letter jsonb,
  add column version int not null default 1;

alter table school_year add column rolled_from uuid references school_year;

-- Adults: staff and guardians. Whoever is invited has no password yet.
alter table adult
  add column kind text not null default 'staff' check (kind in ('staff', 'guardian')),
  add column lead boolean not null default false,
  add column mail text,
  add column source_id text,
  add column left_school boolean not null default false,
  add column confirmed_at timestamptz,
  add column signed_in_at timestamptz;
alter table adult alter column password_hash drop not null;
create unique index adult_source on adult (school_id, source_id) where source_id is not null;
create index adult_of_school on adult (school_id, kind);

-- Until now whoever made the school was its only lead.
update adult a set lead = true
where a.id = (select b.id from adult b where b.school_id = a.school_id order by b.id limit 1);

-- A one-time link or code: an invitation, a new password, or a guardian's confirmation. Only its hash is kept.
create table pass (
  id uuid primary key,
  school_id uuid not null references school,
  adult_id uuid not null references adult on delete cascade,
  purpose text not null check (purpose in ('invitation', 'reset', 'confirmation')),
  hash text not null unique,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz,
  withdrawn_at timestamptz
);
create index pass_of_adult on pass (adult_id, made_at desc);

-- Mail that was sent. The simulated mailer's outbox is this table.
create table mail (
  id uuid primary key,
  school_id uuid not null references school,
  to_address text not null,
  subject text not null,
  body text not null,
  made_at timestamptz not null
);
create index mail_of_school on mail (school_id, made_at desc);

alter table class
  add column source_id text,
  add column first_day date,
  add column last_day date,
  add column closed boolean not null default false;
create unique index class_source on class (school_id, source_id) where source_id is not null;

alter table class_adult add column id uuid not null default gen_random_uuid() unique;

alter table reader
  add column source_id text,
  add column home_language text,
  add column guardian_mail text,
  add column secret_kind text not null default 'Pictures' check (secret_kind in ('Pictures', 'Code', 'Password')),
  add column supports jsonb not null default '{}',
  add column left_school boolean not null default false,
  add column signed_in_at timestamptz,
  add column merged_into uuid references reader on delete set null,
  add column moved_from uuid references school;
create unique index reader_source on reader (school_id, source_id) where source_id is not null;
create index reader_by_name on reader (school_id, lower(given_name), lower(family_name));

alter table enrolment
  add column id uuid not null default gen_random_uuid(),
  add column source_id text;
alter table enrolment drop constraint enrolment_pkey;
alter table enrolment add primary key (id);
create index enrolment_of_class on enrolment (class_id, reader_id);
create unique index enrolment_now on enrolment (class_id, reader_id) where to_day is null;

-- Guardians: the code in a letter, and whose guardian somebody is.
create table guardian_code (
  id uuid primary key,
  school_id uuid not null references school,
  reader_id uuid not null references reader on delete cascade,
  hash text not null unique,
  secret text not null,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz,
  withdrawn_at timestamptz
);
create index guardian_code_of_reader on guardian_code (reader_id);

create table guardianship (
  adult_id uuid not null references adult on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  since timestamptz not null,
  ended_at timestamptz,
  primary key (adult_id, reader_id)
);
create index guardianship_of_reader on guardianship (reader_id);

-- Somebody who asks to join a class by its code; a teacher decides.
create table joining (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  given_name text not null,
  family_name text not null,
  asked_at timestamptz not null,
  decided_at timestamptz,
  reader_id uuid references reader on delete set null
);
create index joining_open on joining (class_id) where decided_at is null;

-- A change belongs to a school, and to a class where it is about one. Its steps are kept packed, in parts.
alter table change alter column class_id drop not null;
alter table change add column school_id uuid references school;
update change h set school_id = c.school_id from class c where c.id = h.class_id;
alter table change alter column school_id set not null;
create index change_of_school on change (school_id, at desc);

create table change_part (
  change_id uuid not null references change on delete cascade,
  part int not null,
  body bytea not null,
  primary key (change_id, part)
);

create table change_reader (
  change_id uuid not null references change on delete cascade,
  reader_id uuid not null
);
create index change_reader_by_reader on change_reader (reader_id);
create index change_reader_by_change on change_reader (change_id);

-- A list that is being typed, kept as it grows.
create table list_draft (
  class_id uuid not null references class on delete cascade,
  adult_id uuid not null references adult on delete cascade,
  rows jsonb not null,
  saved_at timestamptz not null,
  primary key (class_id, adult_id)
);

-- A roster from a source, on its way in.
create table import (
  id uuid primary key,
  school_id uuid not null references school,
  adult_id uuid not null references adult,
  name text not null,
  made_at timestamptz not null,
  body bytea not null,
  org text,
  mends jsonb not null default '[]',
  wanted text not null check (wanted in ('preview', 'apply')),
  state text not null check (state in ('waiting', 'working', 'ready', 'applied', 'failed')),
  progress double precision not null default 0,
  stage text not null default '',
  preview jsonb,
  error text,
  change_id uuid references change
);
create index import_of_school on import (school_id, made_at desc);
create index import_waiting on import (made_at) where state in ('waiting', 'working');

-- Who looked at or took out what.
create table looked (
  id bigint generated always as identity primary key,
  school_id uuid not null references school,
  adult_id uuid,
  at timestamptz not null,
  what text not null,
  reader_id uuid,
  note text not null default ''
);
create index looked_of_school on looked (school_id, at desc);
create index looked_of_reader on looked (reader_id) where reader_id is not null;

-- Failed sign-ins, counted for all instances together.
create table sign_in_try (
  key text not null,
  at timestamptz not null
);
create index sign_in_try_by_key on sign_in_try (key, at);

-- Lists of readers that a teacher keeps: by hand or by a filter.
create table reader_list (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  name text not null,
  mark text not null default '',
  note text not null default '',
  position int not null,
  filter jsonb,
  made_at timestamptz not null
);
create index reader_list_of_class on reader_list (class_id, position);

create table reader_list_member (
  list_id uuid not null references reader_list on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  position int not null,
  primary key (list_id, reader_id)
);
create index reader_list_member_by_reader on reader_list_member (reader_id);

-- A reader on the way from one school to another.
create table transfer (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  from_school_id uuid not null references school,
  to_school_id uuid not null references school,
  asked_by uuid not null references adult,
  asked_at timestamptz not null,
  decided_at timestamptz,
  taken boolean
);
create index transfer_open on transfer (to_school_id) where decided_at is null;
