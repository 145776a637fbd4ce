-- A class may be of one grade; new readers start from it. A reader's picture in a class may be chosen.
alter table class add column grade int check (grade between 0 and 12);

create table class_picture (
  class_id uuid not null references class on delete cascade,
  reader_id uuid not null references reader on delete cascade,
  picture text not null,
  primary key (class_id, reader_id)
);
