-- Names stand in the order people look them up in: by letters beneath their accents, by what numbers count.
-- Equality stays by letter; only sorting changes. The same order as Core/Roster/NameOrder and the pages' compare.ts.
create collation names (provider = icu, locale = 'und-u-kn-true');

alter table reader
  alter column given_name type text collate names,
  alter column family_name type text collate names;
alter table adult alter column name type text collate names;
alter table class alter column name type text collate names;
alter table school alter column name type text collate names;
alter table text alter column title type text collate names;
alter table deck alter column name type text collate names;
alter table saved_search alter column name type text collate names;
