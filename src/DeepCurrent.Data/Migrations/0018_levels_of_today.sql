-- Levels run on to each day: who is behind is found by when they were last reckoned.
create index reader_by_depth_at on reader (school_id, depth_at) where not left_school and merged_into is null;

-- What a part of a level check moved, by itself.
alter table sitting_part add column moved double precision not null default 0;
