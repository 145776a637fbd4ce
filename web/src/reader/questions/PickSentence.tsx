import { Block, isProse, plain } from '../../shared/paragraphs';
import { t } from '../../shared/words';
import type { Picker } from './draft';

/** The text, whose sentences can be tapped. */
export function PickSentence({ q, draft, setDraft, open, heading, text }: Picker) {
  const mine = open ? draft.picks[0] : q.attempts.at(-1)?.picks[0];
  const wrong = new Set(q.attempts.filter((a) => !a.correct).flatMap((a) => a.picks));
  let number = 0;
  return (
    <div className="sentences" role="radiogroup" aria-labelledby={heading}>
      {text.map((paragraph, i) =>
        !isProse(paragraph[0] ?? '') ? (
          <Block key={i} text={paragraph[0] ?? ''} />
        ) : (
          <p key={i}>
            {paragraph.map((s) => {
              const n = number++;
              return (
                <label
                  key={n}
                  className={['sentence', mine === n && 'mine', wrong.has(n) && 'not'].filter(Boolean).join(' ')}
                >
                  <input
                    type="radio"
                    className="hide"
                    name={`sentence-${q.id}`}
                    disabled={!open || wrong.has(n)}
                    checked={mine === n}
                    onChange={() => setDraft({ ...draft, picks: [n] })}
                  />
                  {plain(s)}
                  {wrong.has(n) && <span className="hide"> {t('not this')}</span>}{' '}
                </label>
              );
            })}
          </p>
        ),
      )}
    </div>
  );
}
