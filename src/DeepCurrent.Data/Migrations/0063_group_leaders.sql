-- Who meets a group: a teacher of the class, or an assistant.
alter table guided_group add column leader uuid references adult on delete set null;
create index guided_group_by_leader on guided_group (leader) where leader is not null;
