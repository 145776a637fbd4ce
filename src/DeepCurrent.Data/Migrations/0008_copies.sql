-- Copies on paper: which there are, and who has them since when. A loan that is open has no day of return.
create table copy (
  id uuid primary key,
  school_id uuid not null references school on delete cascade,
  text_id uuid references text on delete set null,
  title text not null check (title <> ''),
  code text not null check (code <> ''),
  created_at timestamptz not null,
  gone_at timestamptz
);
create unique index copy_by_code on copy (school_id, upper(code)) where gone_at is null;
create index copy_of_text on copy (text_id) where text_id is not null;

create table loan (
  id uuid primary key,
  copy_id uuid not null references copy on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  lent_by uuid references adult on delete set null,
  lent_at timestamptz not null,
  due_on date not null,
  returned_at timestamptz
);
create unique index loan_open on loan (copy_id) where returned_at is null;
create index loan_by_reader on loan (reader_id, lent_at desc);
create index loan_by_adult on loan (lent_by) where lent_by is not null;
