-- Parts in a class are written as the rules name them.
alter table class_adult drop constraint class_adult_role_check;

update class_adult
set role = case role when 'co-teacher' then 'CoTeacher' else initcap(role) end;

alter table class_adult
  add constraint class_adult_role_check check (role in ('Teacher', 'CoTeacher', 'Assistant'));
