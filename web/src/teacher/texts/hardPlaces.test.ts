import { expect, test } from 'vitest';
import { hardPlaces, piecesOf } from './hardPlaces';

const text = 'The tide ran out. Behind the old sluice, where nobody\ngoes, the miller kept a weir and a sluice.';
const hard = {
  longestSentences: [
    { sentence: 'Behind the old sluice, where nobody goes, the miller kept a weir and a sluice.', words: 15 },
  ],
  rarestWords: ['sluice', 'weir', 'mill'],
};

test('long sentences are found however their lines are broken, and rare words as whole words', () => {
  const places = hardPlaces(text, hard);
  expect(places.filter((p) => p.kind === 'sentence')).toHaveLength(1);
  expect(places.filter((p) => p.kind === 'word').map((p) => text.slice(p.from, p.to))).toEqual([
    'sluice',
    'sluice',
    'weir',
  ]);
});

test('words are cut where something hard begins or ends, and nothing is lost', () => {
  const places = hardPlaces(text, hard);
  const pieces = piecesOf(text, 0, places);
  expect(pieces.map((p) => p.text).join('')).toBe(text);
  expect(pieces[0]).toEqual({ text: 'The tide ran out. ', sentence: false, word: false });
  expect(pieces.filter((p) => p.word).every((p) => p.sentence)).toBe(true);
  // A run of bold words in the middle is a piece of its own text.
  expect(piecesOf('old sluice', 29, places).map((p) => p.text)).toEqual(['old ', 'sluice']);
});

test('a sentence with signs of a pattern is no pattern', () => {
  expect(
    hardPlaces('Why (not)?', { longestSentences: [{ sentence: 'Why (not)?', words: 2 }], rarestWords: [] }),
  ).toEqual([{ from: 0, to: 10, kind: 'sentence' }]);
});
