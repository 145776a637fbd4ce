-- Taking back a district's roster deletes a hundred thousand readers and thousands of adults and classes: every key that leads to one of them has its index.
create index evidence_by_adult on evidence (adult_id) where adult_id is not null;
create index evidence_of_ticket on evidence (ticket_id) where ticket_id is not null;
create index assignment_by_adult on assignment (assigned_by);
create index change_by_adult on change (adult_id);
create index goal_of_reader on goal (reader_id);
create index goal_by_adult on goal (set_by);
create index group_by_class on guided_group (class_id);
create index import_by_adult on import (adult_id);
create index joining_of_class on joining (class_id);
create index joining_of_reader on joining (reader_id) where reader_id is not null;
create index list_draft_by_adult on list_draft (adult_id);
create index reader_merged on reader (merged_into) where merged_into is not null;
create index transfer_by_adult on transfer (asked_by);
create index transfer_of_reader on transfer (reader_id);
create index ticket_of_version on ticket (version_id);
create index assignment_of_text on assignment (text_id);
