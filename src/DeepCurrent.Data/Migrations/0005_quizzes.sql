-- Questions of every kind. "place" holds the paragraph a guided question comes after, by version; null for a question of the quiz.
alter table question
  add column kind text not null default 'Single' check (kind in ('Single', 'Multiple', 'Order', 'Match', 'Sentence', 'Short', 'Long')),
  add column evidence boolean not null default false,
  add column harder double precision not null default 0 check (harder between -20 and 20),
  add column place jsonb,
  add column rubric jsonb;

-- What was answered, whatever the kind. A written answer is neither right nor wrong until somebody has marked it.
alter table answer
  add column response jsonb,
  add column mark int check (mark between 0 and 3),
  add column comment text not null default '',
  add column marked_by uuid references adult on delete set null,
  add column marked_at timestamptz;
update answer set response = jsonb_build_object('picks', jsonb_build_array(choice), 'words', '');
alter table answer alter column response set not null, alter column correct drop not null, drop column choice;
create index answer_by_marker on answer (marked_by) where marked_by is not null;
create index answer_by_question on answer (question_id);

-- Whether readers are shown the questions between the paragraphs.
alter table assignment add column guided boolean not null default true;
create index ticket_to_mark on ticket (handed_in_at) where state in ('to mark', 'marked');
