-- Level checks ask questions of several picks: put in order, match, choose several.
alter table check_answer add column picks int[];
update check_answer set picks = array[pick];
alter table check_answer alter column picks set not null, drop column pick;

update stage set items = (
  select jsonb_agg(case when jsonb_typeof(i -> 'right') = 'number' then i || jsonb_build_object('right', jsonb_build_array(i -> 'right'), 'kind', 'Single') else i end order by n)
  from jsonb_array_elements(items) with ordinality as x(i, n)
);
