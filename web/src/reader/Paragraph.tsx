import { cx } from 'class-variance-authority';
import { Block } from '../shared/paragraphs';
import { t } from '../shared/words';
import type { Work } from './queries';

const markedLook = 'bg-depth-2 py-1';
const spokenLook = '-mx-0.75 rounded-sm bg-ink px-0.75 py-1 text-paper';

interface Tapped {
  text: string;
  words: Work['words'];
  open: (w: Work['words'][number]) => void;
  chosen: string | undefined;
  spoken: number | null;
  offset: number;
  /** What of the page is marked. */
  marks: readonly { from: number; to: number }[];
}

/** A paragraph whose words to know can be tapped, and whose spoken word is marked. */
export function Paragraph({ text, words, open, chosen, spoken, offset, marks }: Tapped) {
  const known = (part: string) => words.find((w) => [w.text, `${w.text}s`, `${w.text}ed`].includes(part.toLowerCase()));
  const shown = (said: string, from: number) => {
    let at = offset + from;
    return said.split(/([\p{L}’'-]+)/u).map((part, i) => {
      const start = at;
      at += part.length;
      const found = known(part);
      const now = spoken !== null && spoken >= start && spoken < at && /\p{L}/u.test(part);
      const marked = marks.some((m) => start < m.to && at > m.from);
      if (!found)
        return now || marked ? (
          <span key={i} className={cx(marked && markedLook, now && spokenLook)}>
            {part}
          </span>
        ) : (
          part
        );
      return (
        <button
          key={i}
          type="button"
          className={cx(
            'decoration-depth-5 min-h-0 py-0.5 underline decoration-dotted decoration-[2.5px] underline-offset-6',
            marked && 'bg-depth-2',
            chosen === found.text && 'bg-tint text-overlay rounded-t-sm font-bold',
            now && spokenLook,
          )}
          aria-label={t('{{word}}: what does it mean?', { word: part })}
          onClick={() => open(found)}
        >
          {part}
        </button>
      );
    });
  };
  return <Block text={text} heading="h2" words={shown} />;
}
