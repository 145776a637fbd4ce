-- What readers' answers say of a version's depth, and how much that weighs. The difficulty that an answer was evidence for, beside the depth its text had then, is what is hard about the question.
alter table version
  add column shown_readers int not null default 0,
  add column shown_weight double precision,
  add column shown_alone double precision;
alter table ticket add column version_depth double precision;
update ticket k set version_depth = v.depth from version v where v.id = k.version_id;
