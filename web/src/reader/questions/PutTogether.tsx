import { X } from '@phosphor-icons/react';
import { useState } from 'react';
import { t } from '../../shared/words';
import type { Widget } from './draft';
import { sure } from '../../shared/sure';

/** What belongs together: a place beside each thing is filled from what lies below. */
export function PutTogether({ q, draft, setDraft, open, heading }: Widget) {
  const none = q.choices.map(() => -1);
  const laid = open ? (draft.picks.length ? draft.picks : none) : (q.attempts.at(-1)?.picks ?? none);
  const [chosen, setChosen] = useState(0);
  const here = laid[chosen] === -1 ? chosen : laid.indexOf(-1);
  const set = (left: number, right: number) => {
    const next = laid.map((r, i) => (i === left ? right : r));
    setDraft({ ...draft, picks: next });
    const empty = next.indexOf(-1);
    if (empty >= 0) setChosen(empty);
  };
  return (
    <div className="matching" role="group" aria-labelledby={heading}>
      <ul>
        {q.choices.map((left, i) => (
          <li key={i} className={open && i === here ? 'here' : undefined}>
            <span>{left}</span>
            {sure(laid[i]) >= 0 ? (
              <button
                type="button"
                className="slot full"
                disabled={!open}
                onClick={() => {
                  set(i, -1);
                  setChosen(i);
                }}
                aria-label={t('{{left}}: {{right}}. Take it away', { left, right: sure(q.rights[sure(laid[i])]) })}
              >
                {q.rights[sure(laid[i])]}
                {open && <X size={20} aria-hidden />}
              </button>
            ) : (
              <button
                type="button"
                className="slot"
                disabled={!open}
                aria-pressed={i === here}
                onClick={() => setChosen(i)}
                aria-label={t('{{left}}: empty', { left })}
              >
                {i === here && open ? t('Which one?') : ''}
              </button>
            )}
          </li>
        ))}
      </ul>
      {open && (
        <div className="bank">
          {q.rights.map(
            (right, i) =>
              !laid.includes(i) && (
                <button
                  key={i}
                  type="button"
                  className="piece"
                  disabled={here < 0}
                  onClick={() => set(here, i)}
                  aria-label={here < 0 ? right : t('{{right}} to {{left}}', { right, left: sure(q.choices[here]) })}
                >
                  {right}
                </button>
              ),
          )}
        </div>
      )}
    </div>
  );
}
