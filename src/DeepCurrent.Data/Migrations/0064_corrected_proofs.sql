-- The sentence that is right by a correction, by version label, where sentences are picked; rights is empty there.
alter table question_correction add column proofs jsonb;
