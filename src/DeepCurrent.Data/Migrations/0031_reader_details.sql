-- What a roster holds of a reader in words is one column, so that another detail needs no migration.
alter table reader add column details jsonb not null default '{}';
update reader set details = jsonb_build_object('HomeLanguage', home_language) where home_language <> '';
alter table reader drop column home_language;

update list_draft set rows = (
  select coalesce(
    jsonb_agg(
      x - 'homeLanguage' || jsonb_build_object(
        'details',
        case when x ->> 'homeLanguage' <> '' then jsonb_build_object('HomeLanguage', x ->> 'homeLanguage')
        else '{}'::jsonb end)
      order by at),
    '[]')
  from jsonb_array_elements(rows) with ordinality e (x, at))
where jsonb_typeof(rows) = 'array';
