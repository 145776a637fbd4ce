-- What a school adds to a version, its own or one that ships: somebody's reading of it as sound, and a maze passage that was accepted.
create table version_sound (
  version_id uuid not null references version on delete cascade,
  school_id uuid not null references school on delete cascade,
  adult_id uuid references adult on delete set null,
  type text not null,
  bytes bytea not null,
  at timestamptz not null,
  primary key (version_id, school_id)
);

create table maze (
  version_id uuid not null references version on delete cascade,
  school_id uuid not null references school on delete cascade,
  adult_id uuid references adult on delete set null,
  draft int not null,
  pieces jsonb not null,
  at timestamptz not null,
  primary key (version_id, school_id)
);
