-- A level a teacher has set: it is what they say, until a day or the next level check. The estimate goes on beneath.
create table level_set (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  adult_id uuid references adult on delete set null,
  value double precision not null check (value between -20 and 100),
  at timestamptz not null,
  until_at timestamptz,
  reason text not null,
  ended_at timestamptz
);
create unique index level_set_open on level_set (reader_id) where ended_at is null;
create index level_set_by_adult on level_set (adult_id) where adult_id is not null;

alter table reader add column estimate_mean double precision, add column estimate_sd double precision;
