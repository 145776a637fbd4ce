import { expect, test } from 'vitest';
import { placesOf, sentencesOf } from './sentences';

test('a paragraph is cut into its sentences, speech and all, and nothing is lost', () => {
  const paragraph = 'The mill waits. “We never hurry,” she says. “The sea is our clock.” Why? 20 gulls know.';
  const sentences = sentencesOf(paragraph);
  expect(sentences.map((s) => s.trim())).toEqual([
    'The mill waits.',
    '“We never hurry,” she says.',
    '“The sea is our clock.”',
    'Why?',
    '20 gulls know.',
  ]);
  expect(sentences.join('')).toBe(paragraph);
});

test('a title, or an initial, ends no sentence', () => {
  expect(sentencesOf('Then old Mrs. Dunmore came. R. Okafor saw her.').map((s) => s.trim())).toEqual([
    'Then old Mrs. Dunmore came.',
    'R. Okafor saw her.',
  ]);
});

test('what ends without a stop is a sentence, too; headings and pictures have none', () => {
  expect(sentencesOf('It hangs on a stick')).toEqual(['It hangs on a stick']);
  expect(sentencesOf('## Two pumps')).toEqual([]);
  expect(sentencesOf('![A map](123)')).toEqual([]);
});

test('marks lie where their words stand, and nowhere when the text says something else by now', () => {
  expect(placesOf('One. Two. Three.', ['Two.', 'Four.'])).toEqual([{ from: 5, to: 9 }]);
});
