import { describe, expect, it } from 'vitest';
import { sure } from '../../shared/sure';
import { alike, inOrder, nextToMark, partsOf, piecesOf, type Answer, type Question } from './queue';

const answer = (reader: string, words: string, day: string, points: number | null = null): Answer => ({
  ticketId: `k-${reader}`,
  answerId: `w-${reader}`,
  readerId: reader,
  givenName: reader,
  version: 'a',
  proof: null,
  words,
  handedInAt: day,
  state: 'ToMark',
  mark: points === null ? null : { points: [points], of: 3 },
  comment: '',
  writtenWith: null,
  earlier: [],
  proposal: null,
});
const question = (key: string, answers: Answer[]): Question => ({
  key,
  questionId: key,
  textId: null,
  title: key,
  stem: key,
  number: 1,
  strand: null,
  rubric: null,
  most: 3,
  right: 2,
  answers,
});
const mill = question('mill', [
  answer('ana', 'The tide.', '2026-11-03'),
  answer('ben', 'the tide!', '2026-11-04'),
  answer('cleo', 'The wall', '2026-11-05', 2),
]);
const cat = question('cat', [answer('ben', 'A brush', '2026-11-01')]);

describe('the queue', () => {
  it('has what waits longest first, by question or by reader', () => {
    expect(partsOf([mill, cat], 'question').map((p) => p.key)).toEqual(['cat', 'mill']);
    expect(partsOf([mill, cat], 'reader').map((p) => [p.key, p.entries.length])).toEqual([
      ['ben', 2],
      ['ana', 1],
      ['cleo', 1],
    ]);
  });

  it('goes on to the next that waits, and around the end', () => {
    const entries = inOrder(partsOf([mill, cat], 'question'));
    expect(nextToMark(entries, 'k-ana w-ana')?.a.readerId).toBe('ben');
    expect(nextToMark(entries, 'k-cleo w-cleo')?.q.key).toBe('cat');
    expect(nextToMark(inOrder(partsOf([cat], 'question')), 'k-ben w-ben')).toBeNull();
  });

  it('knows who wrote the same, whatever the signs and capitals', () => {
    const entries = inOrder(partsOf([mill], 'question'));
    expect(alike(entries, sure(entries[0])).map((e) => e.a.readerId)).toEqual(['ben']);
    expect(alike(entries, sure(entries[2]))).toEqual([]);
  });

  it('hangs what several wrote at whoever wrote it', () => {
    const both = question('x', [
      answer('ana', 'Ours', '2026-11-01'),
      { ...answer('ben', 'Ours', '2026-11-01'), writtenWith: 'k-ana' },
      { ...answer('cleo', 'Ours', '2026-11-01'), writtenWith: 'k-gone' },
    ]);
    expect(inOrder(partsOf([both], 'question')).map((e) => e.a.readerId)).toEqual(['ana', 'cleo']);
  });

  it('tells apart the words a proposal went by', () =>
    expect(piecesOf('The tide, and the sea’s wall.', ['tide', 'sea’s']).filter((p) => p.by)).toEqual([
      { text: 'tide', by: true },
      { text: 'sea’s', by: true },
    ]));
});
