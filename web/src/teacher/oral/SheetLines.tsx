import { cx } from 'class-variance-authority';
import { memo, useEffect, useRef, type KeyboardEvent } from 'react';
import { phrase, type Phrase, t } from '../../shared/words';
import { betweenAt, isBetween, markOf, shownAt, type Kind, type Line, type Mark, type SheetWord } from './marks';

export const kindNames: Record<Kind, Phrase> = {
  Substitution: phrase('substitution'),
  Omission: phrase('omission'),
  Insertion: phrase('insertion'),
  Repetition: phrase('repetition'),
  SelfCorrection: phrase('self-correction'),
  Told: phrase('told'),
};

/** What is written over a word, in the usual notation. */
export function sign(m: Mark): string {
  switch (m.kind) {
    case 'Substitution':
      return m.heard || '×';
    case 'Omission':
      return '—';
    case 'Insertion':
      return `^${m.heard || '+'}`;
    case 'Repetition':
      return 'R';
    case 'SelfCorrection':
      return `${m.heard}|SC`;
    case 'Told':
      return m.heard ? `${m.heard}|T` : 'T';
  }
}

interface Props {
  body: string;
  words: SheetWord[];
  lines: Line[];
  marks: Mark[];
  lastWord: number | null;
  cursor: number;
  playing: number | null;
  go: (index: number) => void;
  tap: (index: number) => void;
  onKeyDown: (e: KeyboardEvent) => void;
}

/** The text in lines, a button a word, with errors and corrections counted at the end of each line. */
export function SheetLines(p: Props) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const word = box.current?.querySelector<HTMLElement>(`[data-word="${p.cursor}"]`);
    // Only where the sheet has the focus: what is written beside it is not interrupted.
    if (word && box.current?.contains(document.activeElement)) word.focus({ preventScroll: false });
    word?.scrollIntoView({ block: 'nearest' });
  }, [p.cursor]);
  const first = betweenAt(p.marks, -1);
  return (
    // The keys belong to the words in it, which hold the focus.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <div ref={box} role="group" aria-label={t('The text, word by word')} onKeyDown={p.onKeyDown}>
      <div
        className={cx(
          'border-line bg-paper sticky -top-1.5 z-1 grid grid-cols-[28px_minmax(0,1fr)_32px_32px]',
          'items-end gap-1 border-b pb-0.75 text-sm',
        )}
        aria-hidden
      >
        <span />
        <span />
        <b>{t('E')}</b>
        <b>{t('SC')}</b>
      </div>
      {p.lines.map((line, n) => {
        const on = p.marks.filter((m) => (m.index >= line.from && m.index < line.to) || (m.index < 0 && n === 0));
        const read = on.filter((m) => p.lastWord === null || m.index <= p.lastWord);
        const errors = read.filter((m) => m.kind !== 'Repetition' && m.kind !== 'SelfCorrection').length,
          corrections = read.filter((m) => m.kind === 'SelfCorrection').length;
        const here = p.cursor >= line.from && p.cursor < line.to;
        return (
          <div key={line.from} className={cx(row, line.begins && n > 0 && 'mt-2', here && 'bg-depth-1')}>
            <button
              className="text-soft min-h-6 min-w-6 text-right text-sm leading-6.5"
              tabIndex={-1}
              aria-label={t('Line {{n}}', { n: n + 1 })}
              onClick={() => p.go(line.from)}
            >
              {n + 1}
            </button>
            <div className="flex flex-wrap items-end">
              {n === 0 && first.length > 0 && (
                <span className="text-overlay min-h-4.5 self-start pr-1 text-sm font-semibold whitespace-nowrap">
                  {first.map(sign).join(' ')}
                </span>
              )}
              {Array.from({ length: line.to - line.from }, (_, k) => line.from + k).map((i) => (
                <Word
                  key={i}
                  text={shownAt(p.body, p.words, i)}
                  index={i}
                  mark={markOf(p.marks, i)}
                  between={betweenAt(p.marks, i)}
                  here={p.cursor === i}
                  playing={p.playing === i}
                  unread={p.lastWord !== null && i > p.lastWord}
                  last={p.lastWord === i}
                  go={p.go}
                  tap={p.tap}
                />
              ))}
            </div>
            <span className="text-right">{errors || ''}</span>
            <span className="text-right">{corrections || ''}</span>
          </div>
        );
      })}
    </div>
  );
}

const row = 'grid grid-cols-[28px_minmax(0,1fr)_32px_32px] items-end gap-1 border-b border-line pb-0.75';

interface WordProps {
  text: string;
  index: number;
  mark: Mark | undefined;
  between: Mark[];
  here: boolean;
  playing: boolean;
  unread: boolean;
  last: boolean;
  go: (index: number) => void;
  tap: (index: number) => void;
}

const same = (a: WordProps, b: WordProps) =>
  a.text === b.text &&
  a.mark === b.mark &&
  a.here === b.here &&
  a.playing === b.playing &&
  a.unread === b.unread &&
  a.last === b.last &&
  a.tap === b.tap &&
  a.go === b.go &&
  a.between.length === b.between.length &&
  a.between.every((m, i) => m === b.between[i]);

const Word = memo(function Word({ text, index, mark, between, here, playing, unread, last, go, tap }: WordProps) {
  const all = [mark, ...between].filter((m): m is Mark => !!m);
  const spoken = all
    .map((m) => `${t(kindNames[m.kind])}${m.heard && !isBetween(m.kind) ? `, “${m.heard}”` : ''}`)
    .join(', ');
  return (
    <button
      data-word={index}
      tabIndex={here ? 0 : -1}
      className={cx(
        'hover:bg-depth-2 focus-visible:bg-tint inline-grid rounded-sm px-1 pb-0.5 text-left',
        'focus-visible:-outline-offset-1',
      )}
      aria-label={spoken ? `${text}: ${spoken}` : text}
      onFocus={() => go(index)}
      onClick={() => tap(index)}
    >
      <span
        className={cx(
          'font-ui text-overlay min-h-4.5 text-sm font-semibold whitespace-nowrap',
          all.some((m) => m.doubt) && 'border-buoy border-b-2 border-dotted',
        )}
      >
        {all.map(sign).join(' ')}
      </span>
      <span className={cx(unread && 'text-soft', playing && 'bg-ink text-paper ring-ink rounded-sm ring-2')}>
        {text}
        {last && <b className="text-overlay"> ]</b>}
      </span>
    </button>
  );
}, same);
