create extension if not exists pg_trgm;

-- Whose a text is, who sees it, and which of its revisions this is.
alter table text
  add column owner_id uuid references adult on delete set null,
  add column mine boolean not null default false,
  add column retired_at timestamptz,
  add column revision int not null default 1,
  add column copied_from uuid references text on delete set null,
  add column season text not null default '',
  add column changed_at timestamptz;
update text set changed_at = created_at;
alter table text alter column changed_at set not null;
create index text_by_owner on text (owner_id) where owner_id is not null;
create index text_of_school on text (school_id) where school_id is not null;
create index text_copied on text (copied_from) where copied_from is not null;

-- Depth three ways: from the formulas (depth, depth_error), from readers' answers (shown_*), and stated by a person. depth stays what counts.
alter table version
  add column formula_depth double precision,
  add column formula_error double precision,
  add column stated_depth double precision check (stated_depth between -20 and 100),
  add column stated_reason text,
  add column stated_by uuid references adult on delete set null,
  add column stated_at timestamptz,
  add column shown_depth double precision,
  add column shown_error double precision,
  add column shown_answers int not null default 0,
  add column retired boolean not null default false;
update version set formula_depth = depth, formula_error = depth_error;
alter table version alter column formula_depth set not null, alter column formula_error set not null;
alter table version drop constraint version_text_id_position_key;
create index version_of_text on version (text_id, position);

-- Questions that were taken out stay for the answers that were given to them.
alter table question
  add column retired boolean not null default false,
  drop constraint question_text_id_position_key;
create index question_of_text on question (text_id, position);

create table text_revision (
  text_id uuid not null references text on delete cascade,
  revision int not null,
  at timestamptz not null,
  adult_id uuid references adult on delete set null,
  note text not null,
  body jsonb not null,
  primary key (text_id, revision)
);
create index text_revision_by_adult on text_revision (adult_id) where adult_id is not null;

-- What is searched: head ranks, terms find. Words as written are kept for guessing what a misspelt one means.
create table text_terms (
  text_id uuid primary key references text on delete cascade,
  number int not null generated always as identity,
  head tsvector not null,
  terms tsvector not null,
  patterns text not null default ''
);
create index text_terms_found on text_terms using gin (terms);

create table search_word (
  word text primary key,
  texts int not null
);
create index search_word_like on search_word using gin (word gin_trgm_ops);

create table saved_search (
  id uuid primary key,
  adult_id uuid not null references adult on delete cascade,
  name text not null check (name <> ''),
  query text not null,
  created_at timestamptz not null,
  unique (adult_id, name)
);

-- What readers of a class may choose for themselves.
alter table class add column choosing jsonb not null default '{}';
