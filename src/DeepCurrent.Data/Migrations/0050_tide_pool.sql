-- Whether readers of a class see their own tide pool, the class's, both or none.
alter table class add column pool text not null default 'Both' check (pool in ('None', 'Own', 'Shared', 'Both'));
