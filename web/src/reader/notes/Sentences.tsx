import { cx } from 'class-variance-authority';
import { Block } from '../../shared/paragraphs';
import { InText } from '../../ui/Reader';
import { sentencesOf } from './sentences';
import type { Marked } from './NotesSheet';
import type { useNotes } from './useNotes';

/** A page whose sentences can be tapped and marked, each by its own words. */
export function Sentences({
  page,
  paragraphs,
  of,
  chosen,
  choose,
}: {
  page: number;
  paragraphs: string[];
  of: ReturnType<typeof useNotes>;
  chosen: Marked | null;
  choose: (marked: Marked) => void;
}) {
  const take = (quote: string) => {
    const there = of.notes.find((n) => n.page === page && n.quote === quote);
    choose(there ?? { id: crypto.randomUUID(), page, quote, words: '' });
  };
  return paragraphs.map((p, i) => {
    const sentences = sentencesOf(p);
    if (sentences.length === 0) return <Block key={i} text={p} heading="h2" />;
    return (
      <p key={i} className={/^ |\n/.test(p) ? 'whitespace-pre-wrap' : undefined}>
        {sentences.map((s, k) => {
          const quote = s.trim();
          const marked = of.notes.some((n) => n.page === page && n.quote === quote);
          return (
            <InText
              key={k}
              name="sentence"
              className={cx(
                // A finger between two lines of one sentence is on that sentence.
                'py-[0.12em]',
                'decoration-depth-5 hover:bg-depth-1 cursor-pointer underline-offset-6',
                'has-focus-visible:outline-overlay has-focus-visible:outline-3',
                marked && 'bg-depth-2 underline decoration-2',
                chosen?.quote === quote && 'bg-tint',
              )}
              checked={chosen?.quote === quote}
              onChange={() => take(quote)}
            >
              {s}
            </InText>
          );
        })}
      </p>
    );
  });
}
