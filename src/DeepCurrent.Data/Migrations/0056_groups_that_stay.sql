-- Groups keep who they are when readers move: who is in one now, since when, and who was, until when.
alter table group_member add column joined_at timestamptz;
update group_member m set joined_at = g.formed_at from guided_group g where g.id = m.group_id;
alter table group_member alter column joined_at set not null;

create table group_stay (
  id uuid primary key,
  group_id uuid not null references guided_group on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  from_at timestamptz not null,
  to_at timestamptz not null
);
create index group_stay_by_group on group_stay (group_id);
create index group_stay_by_reader on group_stay (reader_id);

-- What groups of a class keep to, as its teachers said last.
alter table class add column group_rules jsonb;
