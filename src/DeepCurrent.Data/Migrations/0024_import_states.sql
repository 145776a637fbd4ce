-- States are written as the rules name them.
drop index import_waiting;
alter table import drop constraint import_state_check;
alter table import drop constraint import_wanted_check;

update import set state = initcap(state), wanted = initcap(wanted);

alter table import
  add constraint import_state_check check (state in ('Waiting', 'Working', 'Ready', 'Applied', 'Failed')),
  add constraint import_wanted_check check (wanted in ('Preview', 'Apply'));

create index import_waiting on import (made_at) where state in ('Waiting', 'Working');
