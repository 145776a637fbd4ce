-- Kinds are written as the rules name them.
alter table goal drop constraint goal_kind_check;
update goal set kind = initcap(kind);
alter table goal add constraint goal_kind_check check (kind in ('Comprehension', 'Words'));
