-- What somebody is at the school. Who has only ever helped in classes is an assistant.
alter table adult add column post text not null default 'Teacher' check (post in ('Teacher', 'Assistant'));
update adult a set post = 'Assistant'
where a.kind = 'staff' and not a.lead
  and exists (select 1 from class_adult p where p.adult_id = a.id)
  and not exists (select 1 from class_adult p where p.adult_id = a.id and p.role <> 'assistant');

-- Whether assistants of a class may print one reader's card.
alter table class add column assistants_print boolean not null default false;

-- A teacher asks for a reader who is in somebody else's class.
create table taking_in (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  class_id uuid not null references class on delete cascade,
  asked_by uuid not null references adult on delete cascade,
  asked_at timestamptz not null,
  decided_at timestamptz,
  decided_by uuid references adult on delete set null,
  accepted boolean,
  check ((decided_at is null) = (accepted is null))
);
create unique index taking_in_open on taking_in (reader_id, class_id) where decided_at is null;
create index taking_in_of_class on taking_in (class_id) where decided_at is null;
create index taking_in_by_asker on taking_in (asked_by);
create index taking_in_by_decider on taking_in (decided_by) where decided_by is not null;

-- Who is signed in, and where. A cookie names its session; one that is ended here is ended everywhere.
create table session (
  id uuid primary key,
  person_id uuid not null,
  reader boolean not null,
  device text not null,
  made_at timestamptz not null,
  seen_at timestamptz not null,
  ended_at timestamptz
);
create index session_of_person on session (person_id) where ended_at is null;
create index session_old on session (seen_at);

-- Tries are counted before anything is looked up, and taken off again where they were right.
drop table sign_in_try;
create table sign_in_try (
  id bigint generated always as identity primary key,
  key text not null,
  at timestamptz not null
);
create index sign_in_try_of_key on sign_in_try (key, at);

-- Devices that somebody has signed in on before: other people's wrong guesses do not shut them out.
create table known_device (
  device_id uuid not null,
  key text not null,
  at timestamptz not null,
  primary key (device_id, key)
);

-- What happened at the door, for the school's log.
create table sign_in_event (
  id bigint generated always as identity primary key,
  school_id uuid not null references school on delete cascade,
  at timestamptz not null,
  kind text not null check (kind in ('SignedIn', 'Failed', 'Locked', 'Guessing', 'SignedOut')),
  adult_id uuid references adult on delete cascade,
  reader_id uuid references reader on delete cascade,
  class_id uuid references class on delete cascade,
  device text not null
);
create index sign_in_event_of_school on sign_in_event (school_id, at desc);
create index sign_in_event_of_class on sign_in_event (class_id, at desc) where class_id is not null;
create index sign_in_event_by_adult on sign_in_event (adult_id) where adult_id is not null;
create index sign_in_event_by_reader on sign_in_event (reader_id) where reader_id is not null;

-- A session that is ended takes the place of a stamp that was changed.
alter table adult drop column stamp;
alter table reader drop column stamp;
