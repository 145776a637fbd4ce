-- Versions a teacher chose while an assignment is a draft, by reader.
alter table task add column locked jsonb not null default '{}';
