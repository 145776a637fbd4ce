import { describe, expect, it } from 'vitest';
import { pieces, strongest } from './whyPieces';

const text = 'The barometer fell. It fell all night.';
const why = {
  dialogueShare: 0,
  sentences: [
    { start: 0, end: 18, words: 3, adds: 1.2 },
    { start: 20, end: 37, words: 4, adds: -0.4 },
  ],
  words: [{ word: 'barometer', times: 1, syllables: 4, zipf: 1.9, adds: 0.8, at: [4, 13] }],
};

describe('a text with its reasons', () => {
  it('is the same text when its pieces are joined, whatever the stretch', () => {
    for (let from = 0; from < text.length; from += 3)
      for (let to = from; to <= text.length; to += 4)
        expect(
          pieces(text, why, from, to)
            .map((p) => p.text)
            .join(''),
        ).toBe(text.slice(from, to));
  });
  it('marks the sentence and the word inside it', () => {
    expect(
      pieces(text, why, 0, text.length)
        .filter((p) => p.word)
        .map((p) => [p.text, p.sentence?.rank]),
    ).toEqual([['barometer', 0]]);
  });
  it('leaves out what makes the text easier', () => expect(strongest(why)).toHaveLength(1));
});
