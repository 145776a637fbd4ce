-- Kinds, seasons and the words of lists can be sought as well; until now they were taken for misspelt.
insert into search_word (word, texts)
select lower(m[1]), count(distinct t.id)::int
from text t
  left join word w on w.text_id = t.id
  cross join lateral regexp_matches(concat_ws(' ', t.kind, t.season, w.word), '[[:alpha:]]+', 'g') m
where length(m[1]) between 3 and 39
group by lower(m[1])
on conflict (word) do nothing;
