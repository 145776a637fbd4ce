-- Word lists are placed by the texts that have their words among those to know.
create index word_by_itself on word (lower(word));
