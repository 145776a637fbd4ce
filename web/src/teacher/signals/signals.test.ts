import { describe, expect, it } from 'vitest';
import type { ClassData } from '../classQueries';
import { inTurns, type Signal, type SignalKind, signalKinds, signals } from './signals';
import { stepWords } from './useStep';

const day = '2026-11-20';
const signal = (kind: SignalKind, figures: number[], more: Partial<Signal> = {}): Signal => ({
  id: `${kind}${figures.join()}`,
  kind,
  readerId: 'a',
  strand: 'Infer',
  goal: 'Words',
  title: 'The Mill',
  first: day,
  last: day,
  figures,
  points: [],
  state: 'New',
  until: null,
  step: 'FindTexts',
  ticketId: null,
  assignmentId: null,
  questionId: null,
  checkId: null,
  ...more,
});
const points = (values: number[]) => values.map((value) => ({ day, value, low: 60, high: 90 }));

describe('signals', () => {
  it('say scores in percent, and how much deeper the texts were', () => {
    const hard = signal('OutOfDepth', [40, 50, 55, 4.2], { points: points([40, 50, 55]) });
    expect(signals.OutOfDepth.says('Ada', hard)[1]).toBe('40%, 50%, 55%, at texts 4.2 fm deeper than they read.');
    const easy = signal('ReadyToMoveDeeper', [95, 90, 100, 95, -2], { points: points([95, 90, 100, 95]) });
    expect(signals.ReadyToMoveDeeper.says('Ada', easy)[1]).toBe(
      '95%, 90%, 100%, 95%, at texts 2.0 fm shallower than they read.',
    );
  });

  it('tell never from no more', () => {
    expect(signals.NothingRead.says('Ada', signal('NothingRead', [12, 2, 0]))).toEqual([
      'Ada has read nothing for 12 school days.',
      '2 texts are waiting.',
    ]);
    expect(signals.NothingRead.says('Ada', signal('NothingRead', [12, 0, 1]))[0]).toBe(
      'Ada has never read here, in 12 school days.',
    );
  });

  it('write a goal in its own unit', () => {
    const goal = (kind: Signal['goal'], figures: number[]) =>
      signals.UnlikelyGoal.says('Ada', signal('UnlikelyGoal', figures, { goal: kind }))[1];
    expect(goal('Words', [30000, 12000, 21000, 0.1])).toBe('Now unlikely, 1 in 10. Expected: 21,000 of 30,000.');
    expect(goal('Depth', [35, 30, 31.5, 0.2])).toBe('Now unlikely, 2 in 10. Expected: 31.5 fm of 35.0 fm.');
  });

  it('take turns by kind, new ones first', () => {
    const all = [
      signal('OutOfDepth', [1]),
      signal('OutOfDepth', [2]),
      signal('ThinEvidence', [3]),
      signal('NothingRead', [4], { state: 'Seen' }),
    ];
    expect(inTurns(all).map((s) => s.figures[0])).toEqual([1, 3, 2, 4]);
  });

  it('have two sentences for every kind', () => {
    for (const kind of signalKinds)
      for (const words of signals[kind].says('Ada', signal(kind, [1, 2, 3, 4, 5, 6]))) expect(words).toMatch(/\.$/);
  });
});

describe('the step of a strand that is missed', () => {
  const data = (mayAssign: boolean) =>
    ({ mayAssign, groups: [{ id: 'g', name: 'Gulls', readerIds: ['a'] }] }) as unknown as ClassData;
  const missed = signal('SameStrandMissed', [2, 8, 20, 24, 1], { step: 'AddToTray' });
  it('is a meeting of the reader’s group', () =>
    expect(stepWords(missed, 'Ada', data(true))).toBe('Plan meeting of Gulls…'));
  it('is the tray for a reader in no group, and for whoever plans no meetings', () => {
    expect(stepWords({ ...missed, readerId: 'b' }, 'Bo', data(true))).toBe('Add Bo to tray');
    expect(stepWords(missed, 'Ada', data(false))).toBe('Add Ada to tray');
  });
});
