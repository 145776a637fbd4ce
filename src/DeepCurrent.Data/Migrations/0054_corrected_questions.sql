-- What a class's teacher says of a faulty question after it was answered: it is asked no more (rights null), or other
-- choices are right. One stands at a time; what was answered stays.
create table question_correction (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  question_id uuid not null references question on delete cascade,
  rights jsonb,
  made_by uuid references adult on delete set null,
  made_at timestamptz not null,
  undone_at timestamptz
);
create unique index question_correction_stands on question_correction (class_id, question_id) where undone_at is null;
create index question_correction_by_question on question_correction (question_id);
create index question_correction_by_adult on question_correction (made_by) where made_by is not null;

-- A round in which only some questions are tried again; null for all.
alter table round add column questions uuid[];
