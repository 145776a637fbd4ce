-- Oral readings: marked by hand as the reader reads, or from a recording. The text is kept as it was read.
create table running_record (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  version_id uuid references version on delete set null,
  text_id uuid references text on delete set null,
  ticket_id uuid references ticket on delete set null,
  adult_id uuid references adult on delete set null,
  title text not null,
  body text not null check (body <> ''),
  text_depth double precision not null,
  fiction boolean not null,
  done boolean not null default false,
  made_at timestamptz not null,
  read_at timestamptz not null,
  sheet jsonb not null,
  revision int not null default 1,
  gone_at timestamptz,
  sound bytea,
  sound_type text,
  sound_seconds double precision,
  heard jsonb,
  listening text check (listening in ('waiting', 'listening', 'heard', 'failed')),
  listen_from timestamptz,
  listen_note text not null default ''
);
create index running_record_of_reader on running_record (reader_id, read_at);
create index running_record_of_ticket on running_record (ticket_id) where ticket_id is not null;
create index running_record_to_hear on running_record (made_at) where listening in ('waiting', 'listening');
create index running_record_to_mark on running_record (reader_id) where not done and gone_at is null and sound_type is not null;

alter table evidence add column record_id uuid references running_record on delete cascade;
create index evidence_of_record on evidence (record_id) where record_id is not null;

-- A text to be read aloud and recorded.
alter table assignment add column aloud boolean not null default false;
