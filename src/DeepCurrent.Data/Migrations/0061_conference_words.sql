-- What a teacher writes about a reader for the conference page.
create table conference_words (
  reader_id uuid not null references reader on delete cascade,
  class_id uuid not null references class on delete cascade,
  words text not null check (words <> ''),
  written_by uuid references adult on delete set null,
  written_at timestamptz not null,
  primary key (reader_id, class_id)
);
create index conference_words_of_class on conference_words (class_id);
create index conference_words_by_adult on conference_words (written_by) where written_by is not null;
