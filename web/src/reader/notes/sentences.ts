import { isProse, plain } from '../../shared/paragraphs';

/** What ends with a stop and ends no sentence. */
const short = /(^|[\s("“‘'])(Mr|Mrs|Ms|Dr|St|Prof|Capt|Mt|No|vs|etc|\p{Lu})\.\s*$/u;

/** A sentence, or as much of a paragraph as reads as one; its blank stays with it. */
export function sentencesOf(paragraph: string): string[] {
  if (!isProse(paragraph)) return [];
  const said = plain(paragraph);
  const pieces =
    said.match(/[\s\S]*?[.!?…]+["”’')\]]*(?=\s+["“‘'(]?[\p{Lu}\d]|\s*$)\s*|[\s\S]+$/gu)?.filter((x) => x !== '') ?? [];
  return pieces.reduce<string[]>((sentences, piece) => {
    const before = sentences[sentences.length - 1];
    return before !== undefined && short.test(before)
      ? [...sentences.slice(0, -1), before + piece]
      : [...sentences, piece];
  }, []);
}

/** Where passages stand in what a page says, by what is marked of it; what the text no longer says is left out. */
export function placesOf(said: string, quotes: readonly string[]): { from: number; to: number }[] {
  return quotes.flatMap((quote) => {
    const from = said.indexOf(quote);
    return from < 0 ? [] : [{ from, to: from + quote.length }];
  });
}
