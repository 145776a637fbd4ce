-- States are written as the rules name them.
drop index ticket_to_mark;
alter table ticket drop constraint ticket_state_check;

update ticket
set state = case state
  when 'under way' then 'UnderWay'
  when 'handed in' then 'HandedIn'
  when 'to mark' then 'ToMark'
  when 'sent back' then 'SentBack'
  else initcap(state)
end;

alter table ticket add constraint ticket_state_check check (state in (
  'Planned', 'Waiting', 'UnderWay', 'HandedIn', 'ToMark', 'Marked', 'Released', 'SentBack', 'Withdrawn'));

create index ticket_to_mark on ticket (handed_in_at) where state in ('ToMark', 'Marked');
