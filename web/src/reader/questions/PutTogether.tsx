import { cx } from 'class-variance-authority';
import { X } from '@phosphor-icons/react';
import { useState } from 'react';
import { t } from '../../shared/words';
import type { Widget } from './draft';
import { sure } from '../../shared/sure';
import { tapLook } from '../../ui/Reader';

/** What belongs together: a place beside each thing is filled from what lies below. */
export function PutTogether({ q, draft, setDraft, open, heading }: Widget) {
  const none = q.choices.map(() => -1);
  const drafted = draft.picks.length > 0 ? draft.picks : none;
  const laid = open ? drafted : (q.attempts.at(-1)?.picks ?? none);
  const [chosen, setChosen] = useState(0);
  const here = laid[chosen] === -1 ? chosen : laid.indexOf(-1);
  const set = (left: number, right: number) => {
    const next = laid.map((r, i) => (i === left ? right : r));
    setDraft({ ...draft, picks: next });
    const empty = next.indexOf(-1);
    if (empty >= 0) setChosen(empty);
  };
  return (
    <div className="[&>ul]:grid [&>ul]:gap-2.5" role="group" aria-labelledby={heading}>
      <ul>
        {q.choices.map((left, i) => (
          <li
            key={i}
            className="border-ink grid items-center gap-3 border-l-4 border-double pl-3 sm:grid-cols-[1fr_1.2fr]"
          >
            <span>{left}</span>
            {sure(laid[i]) >= 0 ? (
              <button
                type="button"
                className={cx(tapLook({ mine: true }), 'justify-between')}
                disabled={!open}
                onClick={() => {
                  set(i, -1);
                  setChosen(i);
                }}
                aria-label={t('{{left}}: {{right}}. Remove', { left, right: sure(q.rights[sure(laid[i])]) })}
              >
                {q.rights[sure(laid[i])]}
                {open && <X size={20} aria-hidden />}
              </button>
            ) : (
              <button
                type="button"
                className={cx(
                  'font-ui text-reader flex min-h-14 w-full items-center rounded-md border-2 border-dashed px-3.5 ' +
                    'py-2 text-left',
                  open && i === here ? 'border-overlay text-overlay' : 'border-soft',
                )}
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
        <div className="border-line mt-5 flex min-h-19 flex-wrap gap-2.5 border-t pt-4">
          {q.rights.map(
            (right, i) =>
              !laid.includes(i) && (
                <button
                  key={i}
                  type="button"
                  className={tapLook({ size: 'piece' })}
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
