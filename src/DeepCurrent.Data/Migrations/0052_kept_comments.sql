-- Comments that somebody who marks keeps to use again.
alter table adult add column kept_comments jsonb not null default '[]';
