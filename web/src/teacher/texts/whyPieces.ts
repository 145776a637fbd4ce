import type { Api } from '../../shared/api';
import { sure } from '../../shared/sure';

type Why = Api<'TextWhy'>;
type Sentence = Why['sentences'][number];
type Word = Why['words'][number];
export type Piece = { text: string; sentence?: Sentence & { rank: number }; word?: Word };

/** Under this a sentence does not stand out. */
const least = 0.15;
const marked = 8;

/** The sentences that add most depth, the deepest first. */
export const strongest = (why: Why): Sentence[] =>
  why.sentences
    .filter((s) => s.adds >= least)
    .sort((a, b) => b.adds - a.adds)
    .slice(0, marked);

/** A stretch of text cut where a marked sentence or word begins or ends. */
export function pieces(text: string, why: Why, from: number, to: number): Piece[] {
  const ranked = strongest(why).map((s, rank) => ({ ...s, rank }));
  const words = why.words
    .filter((w) => w.adds >= 0.05)
    .flatMap((word) =>
      Array.from({ length: word.at.length / 2 }, (_, i) => ({
        word,
        start: sure(word.at[2 * i]),
        end: sure(word.at[2 * i + 1]),
      })),
    );
  const cuts = [...new Set([from, to, ...[...ranked, ...words].flatMap((x) => [x.start, x.end])])]
    .filter((c) => c >= from && c <= to)
    .sort((a, b) => a - b);
  return cuts.slice(1).map((end, i) => {
    const start = sure(cuts[i]);
    return {
      text: text.slice(start, end),
      sentence: ranked.find((s) => s.start <= start && end <= s.end),
      word: words.find((w) => w.start <= start && end <= w.end)?.word,
    };
  });
}
