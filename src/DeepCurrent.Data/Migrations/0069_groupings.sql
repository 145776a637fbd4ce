-- Several ways to group the same readers, side by side: guided reading, which is there in every class and has no row
-- here, and whatever else a teacher groups for, across classes too.
create table grouping (
  id uuid primary key,
  class_id uuid not null references class on delete cascade,
  name text not null check (length(name) between 1 and 40),
  rules jsonb,
  made_at timestamptz not null,
  ended_at timestamptz
);
create index grouping_of_class on grouping (class_id) where ended_at is null;

-- The other classes whose readers a grouping takes in.
create table grouping_class (
  grouping_id uuid not null references grouping on delete cascade,
  class_id uuid not null references class on delete cascade,
  primary key (grouping_id, class_id)
);
create index grouping_class_by_class on grouping_class (class_id);

alter table guided_group add grouping_id uuid references grouping on delete cascade;
create index group_of_grouping on guided_group (grouping_id) where grouping_id is not null;
