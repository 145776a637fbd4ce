import type { Api } from './api';
import { percent } from './format';
import type { TaskKind } from './taskKinds';
import { t } from './words';

const most = 3;
const marks = (score: number) => Math.round(10 * most * score) / 10;

/** What a score is shown as: a mark where a person gave it, else the share that was right on the first try. */
export const scoreOf = (kind: TaskKind, score: number) =>
  kind === 'Written' ? t('{{n}} of 3', { n: marks(score) }) : percent(score);

/** The same where there is room for a figure only. */
export const shortScore = (kind: TaskKind | undefined, score: number) =>
  kind === 'Written' ? `${marks(score)}/${most}` : String(Math.round(100 * score));

/** The same as a sentence. */
export const scoreSaid = (kind: TaskKind | undefined, score: number) =>
  kind === 'Written'
    ? t('Marked {{n}} of 3', { n: marks(score) })
    : t('{{score}} right on the first try', { score: percent(score) });

/** A mark in words, never without what it is out of. */
export const markSaid = (mark: Api<'GivenMark'>) => t('{{n}} of {{of}}', { n: markSum(mark), of: mark.of });
export const markSum = (mark: { points: readonly number[] }) => mark.points.reduce((sum, p) => sum + p, 0);
