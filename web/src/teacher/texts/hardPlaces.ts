import type { Api } from '../../shared/api';
import { sure } from '../../shared/sure';

type Hard = Pick<Api<'MeasureView'>, 'longestSentences' | 'rarestWords'>;
export interface Place {
  from: number;
  to: number;
  kind: 'sentence' | 'word';
}

const escaped = (words: string) => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Words in any order of blanks, as lines may be broken elsewhere. */
const loosely = (words: string) => words.trim().split(/\s+/).map(escaped).join('\\s+');

const found = (text: string, pattern: RegExp, kind: Place['kind']): Place[] =>
  [...text.matchAll(pattern)].map((m) => ({ from: m.index, to: m.index + m[0].length, kind }));

/** Where a paragraph, as it is read aloud, has one of the text's longest sentences or rarest words. */
export const hardPlaces = (text: string, { longestSentences, rarestWords }: Hard): Place[] => [
  ...longestSentences.flatMap((s) => found(text, new RegExp(loosely(s.sentence), 'g'), 'sentence')),
  ...rarestWords.flatMap((w) =>
    found(text, new RegExp(`(?<![\\p{L}\\p{N}])${escaped(w)}(?![\\p{L}\\p{N}])`, 'giu'), 'word'),
  ),
];

export interface Piece {
  text: string;
  sentence: boolean;
  word: boolean;
}

/** Words from a place on, cut where something hard begins or ends. */
export function piecesOf(said: string, at: number, places: readonly Place[]): Piece[] {
  const end = at + said.length;
  const cuts = [...new Set([at, end, ...places.flatMap((p) => [p.from, p.to])])]
    .filter((c) => c >= at && c <= end)
    .sort((a, b) => a - b);
  const within = (from: number, kind: Place['kind']) =>
    places.some((p) => p.kind === kind && p.from <= from && from < p.to);
  return cuts.slice(0, -1).map((from, i) => ({
    text: said.slice(from - at, sure(cuts[i + 1]) - at),
    sentence: within(from, 'sentence'),
    word: within(from, 'word'),
  }));
}
