import { phrase, type Phrase } from '../../shared/words';
import type { Api } from '../../shared/api';

export type EvidenceSource = Api<'EvidenceSource'>;

/** Where evidence came from, as a teacher says it, and the shape of its marks. */
export const evidenceSources: Record<EvidenceSource, { word: Phrase; glyph: string }> = {
  Quiz: { word: phrase('quiz'), glyph: 'M-4 0a4 4 0 1 0 8 0a4 4 0 1 0-8 0z' },
  RunningRecord: { word: phrase('running record'), glyph: 'M-3.500-3.500h7v7h-7z' },
  Level: { word: phrase('judgement'), glyph: 'M0-4.500L4 3.500h-8z' },
  LevelCheck: { word: phrase('level check'), glyph: 'M0-5L5 0L0 5L-5 0z' },
};
