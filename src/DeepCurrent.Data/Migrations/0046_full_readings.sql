-- What an opening of a text came to: the time somebody can have read, and whether it was a full reading.
alter table ticket
  add column active_seconds double precision not null default 0,
  add column full_reading boolean not null default false;

-- Of what was done before, as near as can be told here: at 120 words a minute, a page for three times what it takes.
with page as (
  select k.id, p.n - 1 as page,
    greatest(1, (select count(*) from jsonb_array_elements_text(p.body) x, regexp_split_to_table(x, '\s+'))) as words
  from ticket k join version v on v.id = k.version_id cross join jsonb_array_elements(v.pages) with ordinality p (body, n)
  where exists (select 1 from spell s where s.ticket_id = k.id)
),
seen as (
  select p.id, p.page, p.words, coalesce(sum(least(s.seconds, greatest(60, p.words * 1.5))), 0) as seconds
  from page p left join spell s on s.ticket_id = p.id and s.page = p.page
  group by p.id, p.page, p.words
),
judged as (
  select id, sum(seconds) as seconds, sum(least(words, seconds * 4)) / sum(words) as share
  from seen
  group by id
)
update ticket k
set active_seconds = j.seconds, full_reading = j.share >= 0.8 or (j.share >= 0.35 and coalesce(k.score, 0) >= 2.0 / 3)
from judged j
where j.id = k.id;

-- What a reader has read elsewhere, as they tell it.
create table own_reading (
  id uuid primary key,
  reader_id uuid not null references reader on delete cascade,
  title text collate names not null check (length(title) between 1 and 120),
  author text not null default '' check (length(author) <= 80),
  day date not null,
  minutes int check (minutes between 1 and 600),
  pages int check (pages between 1 and 3000),
  finished boolean not null,
  said text not null default '' check (length(said) <= 500),
  at timestamptz not null,
  removed_at timestamptz,
  confirmed_at timestamptz,
  confirmed_by uuid references adult on delete set null
);
create index own_reading_of_reader on own_reading (reader_id, day);
create index own_reading_confirmed_by on own_reading (confirmed_by) where confirmed_by is not null;
