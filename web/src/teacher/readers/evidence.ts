import type { Api } from '../../shared/api';

export type EvidenceSource = Api<'EvidenceSource'>;

/** Where evidence came from, as a teacher says it. */
export const evidenceWords: Record<EvidenceSource, string> = {
  Quiz: 'quiz',
  RunningRecord: 'running record',
  Level: 'judgement',
  LevelCheck: 'level check',
};
