-- The stream of a class at the school's own platform, with the address its links lead to, and what of its assignments is to stand there.
create table class_stream (
  class_id uuid primary key references class on delete cascade,
  course text not null check (length(course) between 1 and 100),
  home text not null,
  linked_by uuid references adult on delete set null,
  linked_at timestamptz not null
);
create index class_stream_by_course on class_stream (course);
create index class_stream_by_adult on class_stream (linked_by) where linked_by is not null;

-- The assignment may be gone; what stands in the stream is taken back then.
create table stream_post (
  assignment_id uuid primary key,
  class_id uuid not null references class on delete cascade,
  course text not null,
  wanted boolean not null,
  asked_by uuid references adult on delete set null,
  asked_at timestamptz not null,
  sent text,
  sent_at timestamptz,
  failures int not null default 0,
  next_at timestamptz not null
);
create index stream_post_of_class on stream_post (class_id);
create index stream_post_by_adult on stream_post (asked_by) where asked_by is not null;
create index stream_post_due on stream_post (next_at);
