import { cx } from 'class-variance-authority';
import { Block, isProse, plain } from '../../shared/paragraphs';
import { t } from '../../shared/words';
import { InText } from '../../ui/Reader';
import type { Picker } from './draft';

/** The text, whose sentences can be tapped. */
export function PickSentence({ q, draft, setDraft, open, heading, text }: Picker) {
  const mine = open ? draft.picks[0] : q.attempts.at(-1)?.picks[0];
  const wrong = new Set(q.attempts.filter((a) => !a.correct).flatMap((a) => a.picks));
  let number = 0;
  return (
    <div
      className="border-line max-h-[46vh] overflow-auto border-y py-1 pr-3 pl-1 leading-11 [&_h3]:[font-family:inherit]"
      role="radiogroup"
      aria-labelledby={heading}
    >
      {text.map((paragraph, i) =>
        !isProse(paragraph[0] ?? '') ? (
          <Block key={i} text={paragraph[0] ?? ''} />
        ) : (
          <p key={i}>
            {paragraph.map((s) => {
              const n = number++;
              return (
                <InText
                  key={n}
                  className={cx(
                    'focus-within:outline-overlay hover:bg-depth-1 cursor-pointer rounded-sm box-decoration-clone ' +
                      'px-0.5 py-2 focus-within:outline-3',
                    mine === n && 'bg-tint shadow-[inset_0_-3px_var(--color-overlay)]',
                    wrong.has(n) && 'text-soft cursor-default line-through',
                  )}
                  name={`sentence-${q.id}`}
                  disabled={!open || wrong.has(n)}
                  checked={mine === n}
                  onChange={() => setDraft({ ...draft, picks: [n] })}
                >
                  {plain(s)}
                  {wrong.has(n) && <span className="sr-only"> {t('not this')}</span>}{' '}
                </InText>
              );
            })}
          </p>
        ),
      )}
    </div>
  );
}
