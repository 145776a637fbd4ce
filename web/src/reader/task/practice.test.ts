import { describe, expect, it } from 'vitest';
import { afterTry, choicesOf, joined, roundOf, type Practised } from './practice';

const tried = (...tries: [number, boolean][]) =>
  tries.reduce<Practised[]>((done, [word, right]) => afterTry(done, word, right), []);

describe('words are practised', () => {
  it('in even rounds, what was missed first', () => {
    expect(roundOf(11, [], 10)).toEqual([0, 1, 2, 3, 4, 5]);
    expect(roundOf(11, tried([0, true], [4, false]), 10)).toEqual([4, 1, 2, 3, 5, 6, 7, 8, 9, 10]);
    expect(roundOf(2, tried([0, true], [1, true]), 10)).toEqual([]);
  });

  it('to the end, however long the list, and each word has been right', () => {
    for (let count = 2; count <= 23; count++)
      for (let atOnce = 2; atOnce <= 10; atOnce++) {
        let done = tried([0, false]);
        let rounds = 0;
        for (let round = roundOf(count, done, atOnce); round.length > 0; round = roundOf(count, done, atOnce)) {
          expect(round.length).toBeLessThanOrEqual(atOnce);
          for (const word of round) done = afterTry(done, word, true);
          expect(++rounds).toBeLessThanOrEqual(count);
        }
        expect(done.filter((d) => d.known)).toHaveLength(count);
        expect(done[0]?.tries).toBe(2);
      }
  });

  it('by choices in which the right word is once, whatever stands twice in the list', () => {
    const words = ['tide', 'ferry', 'tide', 'mill', 'rope'];
    for (let word = 0; word < words.length; word++)
      for (let attempt = 0; attempt < 6; attempt++) {
        const choices = choicesOf(words, word, attempt);
        expect(choices.filter((c) => words[c] === words[word])).toEqual([word]);
        expect(new Set(choices).size).toBe(choices.length);
        expect(choices.length).toBeGreaterThanOrEqual(2);
      }
  });

  it('in two places, and nothing is lost when they come together', () => {
    const here = tried([1, false], [1, true]);
    const there = tried([2, false]);
    expect(joined(here, there)).toEqual([
      { word: 1, tries: 2, known: true },
      { word: 2, tries: 1, known: false },
    ]);
    expect(joined(there, here)).toEqual(joined(here, there));
  });
});
