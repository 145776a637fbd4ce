-- Roster sources are told apart. What came before, and ids that were typed, belong to no source until one speaks of them.
alter table adult add column source text not null default '';
alter table class add column source text not null default '';
alter table reader add column source text not null default '';
alter table enrolment add column source text not null default '';

drop index adult_source, class_source, reader_source;
create unique index adult_source on adult (school_id, source, source_id) where source_id is not null;
create unique index class_source on class (school_id, source, source_id) where source_id is not null;
create unique index reader_source on reader (school_id, source, source_id) where source_id is not null;

-- The org an import was done for is the org the next one of the same source is for.
alter table import add column source text not null default '';

-- Previews say now where a file comes from and what would be ended; those that wait are worked out again.
update import set preview = preview || '{"source": "", "asksOrg": false, "endings": {"readers": 0, "ofReaders": 0, "adults": 0, "ofAdults": 0, "classes": 0, "ofClasses": 0, "type": null}}'
where preview is not null;
update import set state = 'waiting', wanted = 'preview' where state = 'ready';
