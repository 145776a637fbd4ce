-- Whether readers see results at once or when their teacher releases them.
alter table assignment
  add column results text not null default 'AtOnce' check (results in ('AtOnce', 'WhenReleased'));
