-- Tables and columns have the names that the pages use.
alter table deck rename to word_list;
alter table word_list rename constraint deck_pkey to word_list_pkey;
alter index deck_of_school rename to word_list_of_school;
alter index deck_by_owner rename to word_list_by_owner;
update saved_search set query = replace(query, 'deck=true', 'wordsToKnow=true') where query like '%deck=true%';

alter table school rename column passing_score to understood_from;
alter table assignment rename column guided to on_the_way;

alter table answer rename column rushed to too_fast;
alter table check_answer rename column rushed to too_fast;
alter table sitting_part rename column rushed to too_fast;
alter table sitting_part drop constraint sitting_part_flag_check;
update sitting_part set flag = 'TooFast' where flag = 'Rushed';
alter table sitting_part
  add constraint sitting_part_flag_check check (flag in ('Fine', 'TooFast', 'Thin', 'Missing'));

alter table guardian_code rename column withdrawn_at to taken_back_at;
alter table pass rename column withdrawn_at to taken_back_at;
alter table sitting rename column withdrawn_at to taken_back_at;
alter table ticket drop constraint ticket_state_check;
update ticket set state = 'TakenBack' where state = 'Withdrawn';
alter table ticket add constraint ticket_state_check check (state in (
  'Planned', 'Waiting', 'UnderWay', 'HandedIn', 'ToMark', 'Marked', 'Released', 'SentBack', 'TakenBack'));
update change set kind = 'CheckTakenBack' where kind = 'CheckWithdrawn';
