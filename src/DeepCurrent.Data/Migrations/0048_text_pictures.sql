-- One picture that stands for a text, with what it shows for those who do not see it.
create table text_picture (
  text_id uuid primary key references text on delete cascade,
  type text not null check (type in ('image/svg+xml', 'image/png', 'image/jpeg')),
  bytes bytea not null,
  description text not null check (length(description) between 1 and 300)
);
