import { expect, test } from 'vitest';
import type { Api } from '../../shared/api';
import { hasKey, keyOf, paired, swapped } from './corrected';

const question = (of: Partial<Api<'QuestionView'>>): Api<'QuestionView'> => ({
  id: 'q',
  kind: 'Single',
  strand: 'Retrieve',
  stem: 'Where?',
  choices: [],
  proofs: {},
  evidence: false,
  offset: 0,
  after: null,
  rubric: null,
  key: null,
  ...of,
});
const choice = (text: string, of: Partial<Api<'Choice'>> = {}) => ({
  text,
  right: false,
  reason: '',
  match: null,
  ...of,
});

test('a key begins as it is written', () => {
  const choices = [choice('a'), choice('b', { right: true }), choice('c')];
  expect(keyOf(question({ choices }))).toEqual({ right: [1], proofs: null });
  expect(keyOf(question({ kind: 'Order', choices })).right).toEqual([0, 1, 2]);
  const pairs = [choice('cat', { match: 'mews' }), choice('', { match: 'sings' }), choice('dog', { match: 'barks' })];
  expect(keyOf(question({ kind: 'Match', choices: pairs })).right).toEqual([0, 2]);
  expect(keyOf(question({ kind: 'Sentence', proofs: { a: 'It ran.' } }))).toEqual({
    right: [],
    proofs: { a: 'It ran.' },
  });
  expect(hasKey(question({ kind: 'Long' }))).toBe(false);
});

test('things change places', () => {
  expect(swapped([0, 1, 2], 0, 1)).toEqual([1, 0, 2]);
});

test('a half is taken from whatever had it, which takes the other', () => {
  expect(paired([0, 2], 0, 2)).toEqual([2, 0]);
  expect(paired([0, 2], 1, 1)).toEqual([0, 1]);
});
