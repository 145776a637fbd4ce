-- Closed sets are written as the rules name them.
alter table running_record drop constraint running_record_listening_check;
update running_record set listening = initcap(listening) where listening is not null;
alter table running_record
  add constraint running_record_listening_check check (listening in ('Waiting', 'Listening', 'Heard', 'Failed'));
drop index running_record_to_hear;
create index running_record_to_hear on running_record (made_at) where listening in ('Waiting', 'Listening');

alter table adult drop constraint adult_kind_check;
update adult set kind = initcap(kind);
alter table adult
  alter column kind set default 'Staff',
  add constraint adult_kind_check check (kind in ('Staff', 'Guardian'));

alter table pass drop constraint pass_purpose_check;
update pass set purpose = initcap(purpose);
alter table pass add constraint pass_purpose_check check (purpose in ('Invitation', 'Reset', 'Confirmation'));

update looked set what = replace(initcap(what), '-', '');

alter table check_aim drop constraint check_aim_kind_check;
update check_aim set kind = initcap(kind);
alter table check_aim add constraint check_aim_kind_check check (kind in ('Class', 'Group', 'Reader', 'Grade'));

alter table level_check drop constraint level_check_season_check;
update level_check set season = initcap(season) where season is not null;
alter table level_check add constraint level_check_season_check check (season in ('Autumn', 'Winter', 'Spring'));
