-- What the voice has said, kept once made: under the hash of what was said and how.
create table spoken (
  key text primary key check (key ~ '^[0-9a-f]{64}$'),
  type text not null,
  bytes bytea not null,
  words jsonb not null,
  made_at timestamptz not null
);
