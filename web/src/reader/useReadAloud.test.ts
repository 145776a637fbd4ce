import { expect, test } from 'vitest';
import { wordAt } from './useReadAloud';

const words = [
  { at: 0, start: 0.05 },
  { at: 4, start: 0.4 },
  { at: 9, start: 0.9 },
];

test('the word that is being said is the last that has begun', () => {
  expect(wordAt(words, 0)).toBeNull();
  expect(wordAt(words, 0.05)).toBe(0);
  expect(wordAt(words, 0.6)).toBe(4);
  expect(wordAt(words, 30)).toBe(9);
  expect(wordAt([], 1)).toBeNull();
});
