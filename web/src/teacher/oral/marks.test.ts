import { describe, expect, test } from 'vitest';
import { betweenAt, change, clear, counted, linesOf, markOf, put, shownAt, type Mark, type SheetWord } from './marks';
import vectors from '../../../../tests/vectors/record-marks.json';
import { sure } from '../../shared/sure';

const { body } = vectors;
const words: SheetWord[] = [...body.matchAll(/[A-Za-z]+/g)].map((m) => ({
  start: m.index,
  length: m[0].length,
  name: vectors.names.includes(m[0]),
}));
const key = (i: number) => body.slice(sure(words[i]).start, sure(words[i]).start + sure(words[i]).length).toLowerCase();
const sum = (marks: Mark[], last: number | null = null) => counted(marks, words, last, key);

describe('marks of a running record', () => {
  test('the same mark again takes it off, another takes its place and keeps what was said', () => {
    const one = change(put([], 4, 'Substitution'), sure(put([], 4, 'Substitution')[0]), {});
    expect(put(one, 4, 'Substitution')).toEqual([]);
    const said = put([], 4, 'Substitution').map((m) => ({ ...m, heard: 'lump' }));
    expect(put(said, 4, 'SelfCorrection')).toEqual([
      { index: 4, kind: 'SelfCorrection', heard: 'lump', used: '', span: 1, doubt: false },
    ]);
    expect(sure(put(said, 4, 'Omission')[0]).heard).toBe('');
  });
  test('insertions and repetitions stand beside a word’s own mark', () => {
    const marks = put(put(put([], 4, 'Repetition'), 4, 'Told'), 4, 'Insertion');
    expect(markOf(marks, 4)?.kind).toBe('Told');
    expect(betweenAt(marks, 4).map((m) => m.kind)).toEqual(['Repetition', 'Insertion']);
    expect(clear(marks, 4)).toEqual([]);
  });
  test('errors, corrections and the end of the reading are counted; a name misread alike counts once', () => {
    const marks = [...put([], 2, 'Substitution'), ...put([], 10, 'Substitution')].map((m) => ({ ...m, heard: 'Mary' }));
    expect(words).toHaveLength(12);
    expect(sum(marks).errors).toBe(1);
    expect(sum(marks.map((m, i) => ({ ...m, heard: i ? 'Mart' : 'Mary' }))).errors).toBe(2);
    expect(sum(put(put(marks, 4, 'SelfCorrection'), 5, 'Repetition'))).toMatchObject({
      words: 12,
      errors: 1,
      corrections: 1,
      repetitions: 1,
      lost: 2,
    });
    expect(sum(marks, 5)).toMatchObject({ words: 6, errors: 1, accuracy: 5 / 6 });
  });
  test.each(vectors.cases)('are counted as the core counts them: $of', (c) => {
    const marks = c.marks.map((m) => ({ heard: '', used: '', span: 1, doubt: false, ...m }) as Mark);
    expect(sum(marks, c.lastWord ?? null)).toMatchObject({
      words: c.words,
      errors: c.errors,
      corrections: c.corrections,
      repetitions: c.repetitions,
      accuracy: Math.max(0, (c.words - c.errors) / c.words),
    });
  });
  test('lines break at paragraphs and at their length', () => {
    expect(linesOf(body, words, 24).map((l) => [l.from, l.to, l.begins])).toEqual([
      [0, 4, true],
      [4, 9, false],
      [9, 10, false],
      [10, 12, true],
    ]);
    expect(linesOf('', [])).toEqual([]);
  });
  test('signs go with their words', () => {
    expect([0, 1, 4, 5, 8, 9].map((i) => shownAt(body, words, i))).toEqual([
      '“Come,”',
      'said',
      'lamp',
      '(old',
      'was)',
      'burned.',
    ]);
  });
});
