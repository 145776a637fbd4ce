import { describe, expect, it } from 'vitest';
import { linesOf, logAddress, logOf } from './logOf';
import type { LogRow } from './reportQueries';

const line = (more: Partial<LogRow>): LogRow => ({
  readerId: 'r',
  at: '2026-11-02T09:00:00Z',
  ticketId: 'k',
  ownReadingId: null,
  textId: 'ferry',
  kind: 'Text',
  title: 'The Ferry Cat',
  version: 'a',
  depth: 20,
  seconds: 90,
  full: true,
  words: 120,
  keptWords: 0,
  score: null,
  recordId: null,
  soundSeconds: null,
  marks: [],
  ...more,
});

describe('what a figure is made of', () => {
  it('stands in the address of the log', () => {
    const address = logAddress('c', { kind: 'Week' }, { reader: 'r', part: 'openings' });
    expect(address).toBe('/class/c/reports/log?days=Week&reader=r&of=openings');
    expect(logOf(new URL(address, 'http://x').searchParams)).toEqual({
      reader: 'r',
      text: undefined,
      part: 'openings',
    });
    expect(logOf(new URLSearchParams('of=toString')).part).toBeUndefined();
  });
  it('parts full readings, openings, quizzes and reading elsewhere', () => {
    const opening = line({ full: false, words: 0 });
    const quiz = line({ marks: ['RightAtOnce'] });
    const elsewhere = line({ ticketId: null, kind: null, textId: null, full: false, title: 'A book' });
    const all = [opening, quiz, elsewhere];
    expect(linesOf(all, { part: 'openings' })).toEqual([opening]);
    expect(linesOf(all, { part: 'full' })).toEqual([quiz]);
    expect(linesOf(all, { part: 'quizzes' })).toEqual([quiz]);
    expect(linesOf(all, { part: 'elsewhere' })).toEqual([elsewhere]);
    expect(linesOf(all, { text: 'ferry' })).toEqual([opening, quiz]);
  });
});
