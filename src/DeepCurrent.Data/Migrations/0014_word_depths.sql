-- What readers' answers say of single words of level checks: how much harder they are to read or to understand than their frequency lets expect.
create table word_depth (
  part text not null check (part in ('WordReading', 'WordMeaning')),
  word text not null,
  harder double precision not null,
  sd double precision not null,
  answers int not null,
  primary key (part, word)
);
