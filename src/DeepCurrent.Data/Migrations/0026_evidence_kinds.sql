-- Kinds are written as the rules name them.
alter table evidence
  drop constraint evidence_kind_check,
  drop constraint evidence_check,
  drop constraint evidence_check1,
  drop constraint evidence_check2;

update evidence
set kind = case kind when 'running record' then 'RunningRecord' else initcap(kind) end;

alter table evidence
  add constraint evidence_kind_check check (kind in ('Answer', 'Level', 'RunningRecord')),
  add constraint evidence_answer check (
    kind <> 'Answer' or (difficulty is not null and guess is not null and correct is not null)),
  add constraint evidence_level check (kind <> 'Level' or (value is not null and sd > 0)),
  add constraint evidence_record check (
    kind <> 'RunningRecord' or (text_depth is not null and words > 0 and errors >= 0));
