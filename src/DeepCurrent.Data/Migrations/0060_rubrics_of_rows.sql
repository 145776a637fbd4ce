-- A rubric has rows, and a mark its points row by row, with the most there were when it was given.
update question
set rubric = jsonb_build_object(
  'criteria', jsonb_build_array(jsonb_build_object('name', '', 'marks', rubric -> 'marks')),
  'samples', rubric -> 'samples')
where rubric is not null;

update text_revision r
set body = jsonb_set(r.body, '{questions}', (
  select jsonb_agg(
    case
      when jsonb_typeof(q -> 'rubric') = 'object' then q || jsonb_build_object(
        'rubric', jsonb_build_object(
          'criteria', jsonb_build_array(jsonb_build_object('name', '', 'marks', q #> '{rubric,marks}')),
          'samples', q #> '{rubric,samples}'))
      else q
    end
    order by at)
  from jsonb_array_elements(r.body -> 'questions') with ordinality as every (q, at)))
where jsonb_path_exists(r.body, '$.questions[*].rubric.marks');

alter table answer drop constraint answer_mark_check;
alter table answer alter column mark type jsonb
using case when mark is not null then jsonb_build_object('points', jsonb_build_array(mark), 'of', 3) end;

alter table reply drop constraint reply_mark_check;
alter table reply alter column mark type jsonb
using case when mark is not null then jsonb_build_object('points', jsonb_build_array(mark), 'of', 3) end;
