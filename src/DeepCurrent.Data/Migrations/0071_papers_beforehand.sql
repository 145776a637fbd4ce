-- A paper can be there before what it goes with: while it is being given, or as a plan's, for each time that is used.
alter table paper
  alter column assignment_id drop not null,
  add column plan_id uuid,
  add check (assignment_id is null or plan_id is null);
create index paper_of_plan on paper (plan_id) where plan_id is not null;
create index paper_beforehand on paper (added_at) where assignment_id is null;
