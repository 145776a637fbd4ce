-- Right answers at later tries: a report looks for them among many first ones.
create index answer_right_later on answer (ticket_id, question_id)
where correct and not too_fast and (round > 1 or attempt > 1);
