-- Fathoms go below nought: only what is counted in percent or words has to be more than nothing.
alter table goal drop constraint goal_target_check;
alter table goal add constraint goal_target_check check (kind = 'Depth' or target > 0);
