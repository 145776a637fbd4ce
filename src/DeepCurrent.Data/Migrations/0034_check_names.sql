-- A level check's name is composed of its window, year, grades and parts. Titles from before stand as they were typed.
alter table level_check rename column staff_title to name;
alter table level_check alter column name type jsonb using jsonb_build_object(
  'key', '{{0}}', 'values', jsonb_build_array(jsonb_build_object('text', name)));
