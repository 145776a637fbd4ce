-- What is said of a change and of a piece of evidence is a sentence of the catalogue with its values, so that it can be
-- read in any language. What was kept as words before stands in it as somebody's own words.
alter table change alter column summary type jsonb using jsonb_build_object(
  'key', '{{0}}', 'values', jsonb_build_array(jsonb_build_object('text', summary)));

alter table evidence alter column note drop default;
alter table evidence alter column note type jsonb using case
  when note = '' then jsonb_build_object('key', '', 'values', '[]'::jsonb)
  when part_id is not null and strpos(note, ': ') > 0 then jsonb_build_object(
    'key', '{{0}}: {{1}}',
    'values', jsonb_build_array(
      jsonb_build_object('text', split_part(note, ': ', 1)),
      jsonb_build_object('text', substr(note, strpos(note, ': ') + 2))))
  else jsonb_build_object('key', '{{0}}', 'values', jsonb_build_array(jsonb_build_object('text', note))) end;
alter table evidence alter column note set default '{"key": "", "values": []}';

update evidence
set left_out = case left_out
  when 'rushed' then 'too-fast'
  when 'rests on a wrong answer' then 'rests-on-wrong'
  when 'too short to tell' then 'too-short'
  when 'in a part that was rushed' then 'part-too-fast'
  when 'in a part with too few answers' then 'part-thin'
  else left_out end
where left_out is not null;

alter table text_revision alter column note type jsonb using case
  when note like 'As it ships (%)' then jsonb_build_object(
    'key', 'Shipped version ({{0}})',
    'values', jsonb_build_array(jsonb_build_object('text', substring(note from '\((.*)\)$'))))
  else jsonb_build_object('key', '{{0}}', 'values', jsonb_build_array(jsonb_build_object('text', note))) end;

alter table running_record alter column listen_note drop default;
alter table running_record alter column listen_note drop not null;
alter table running_record alter column listen_note type jsonb using case
  when listen_note <> '' then jsonb_build_object(
    'key', '{{0}}', 'values', jsonb_build_array(jsonb_build_object('text', listen_note))) end;

alter table looked alter column note drop default;
alter table looked alter column note type jsonb using case
  when note = '' then jsonb_build_object('key', '', 'values', '[]'::jsonb)
  else jsonb_build_object('key', '{{0}}', 'values', jsonb_build_array(jsonb_build_object('text', note))) end;
alter table looked alter column note set default '{"key": "", "values": []}';

-- A letter has words in each language, and a school chooses what its levels are called.
alter table school add column level_system text not null default 'grade';
alter table school rename column letter to letters;
update school set letters = jsonb_build_object('en', letters) where letters is not null;

-- Why a part was skipped or cut off is kept as a code.
update sitting_part
set note = case note
  when 'the check ended' then 'ended'
  when 'nothing fits' then 'nothing-fits'
  when 'given again' then 'given-again'
  when 'mastered before' then 'mastered'
  when 'does not decode yet' then 'undecoding'
  else regexp_replace(note, '^(shallower|deeper) than (.*) fm$', '\1:\2') end
where note <> '';

alter table import alter column error type jsonb using case
  when error is not null then jsonb_build_object(
    'key', '{{0}}', 'values', jsonb_build_array(jsonb_build_object('text', error))) end;
