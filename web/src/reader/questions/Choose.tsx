import { cx } from 'class-variance-authority';
import { Eye, EyeSlash } from '@phosphor-icons/react';
import { useState } from 'react';
import { t } from '../../shared/words';
import type { Picker } from './draft';
import { BigMark } from '../../ui/Reader';

/** One choice, or several. Choices may be covered; some readers look at one at a time. */
export function Choose({ q, draft, setDraft, open, heading, oneAtATime }: Picker) {
  const all = q.choices.map((_, i) => i);
  const [covered, setCovered] = useState<number[]>(oneAtATime ? all.slice(1) : []);
  const several = q.kind === 'Multiple';
  const lastTry = q.attempts.at(-1);
  // With one to choose, what was wrong once is wrong again.
  const wrong = new Set(several ? [] : q.attempts.filter((a) => !a.correct).flatMap((a) => a.picks));
  const turned = (i: number) => (draft.picks.includes(i) ? draft.picks.filter((x) => x !== i) : [...draft.picks, i]);
  const pick = (i: number) => setDraft({ ...draft, picks: several ? turned(i) : [i] });
  const full = several && draft.picks.length >= q.wanted;
  return (
    <div className="mt-4 grid gap-2.5" role={several ? 'group' : 'radiogroup'} aria-labelledby={heading}>
      {q.choices.map((c, i) => {
        const hidden = covered.includes(i) && open,
          mine = open ? draft.picks.includes(i) : (lastTry?.picks.includes(i) ?? false);
        return (
          <div
            key={i}
            className={cx(
              'grid items-stretch overflow-clip rounded-md max-sm:grid-cols-1 sm:grid-cols-[1fr_116px] ' +
                'sm:in-data-between:grid-cols-1',
              mine ? 'border-overlay bg-tint border-[2.5px]' : 'border-soft bg-paper border-[1.5px]',
              hidden &&
                'border-dashed bg-[repeating-linear-gradient(135deg,var(--color-sand)_0_10px,#e9ddbe_10px_11px)]',
            )}
          >
            <label className="relative flex min-h-16 cursor-pointer items-center gap-3.5 px-4 py-2">
              <BigMark
                several={several}
                name={`choice-${q.id}`}
                disabled={!open || hidden || wrong.has(i) || (full && !mine)}
                checked={mine}
                onChange={() => pick(i)}
              />
              {hidden ? t('Covered') : c}
              {wrong.has(i) ? (
                <span className="text-reader text-overlay ml-auto font-semibold whitespace-nowrap">
                  {t('not this')}
                </span>
              ) : (
                mine && (
                  <span className="text-reader text-overlay ml-auto font-semibold whitespace-nowrap">
                    {t('My choice')}
                  </span>
                )
              )}
            </label>
            {open && (
              <button
                type="button"
                className={cx(
                  'border-line bg-paper font-ui text-reader hover:bg-depth-1 inline-flex min-h-11 items-center',
                  'justify-center gap-2 font-medium in-data-between:hidden max-sm:border-t-[1.5px]',
                  'sm:border-l-[1.5px]',
                )}
                onClick={() => {
                  const others = (oneAtATime ? all : covered).filter((x) => x !== i);
                  setCovered(hidden ? others : [...covered, i]);
                  if (draft.picks.includes(i)) setDraft({ ...draft, picks: draft.picks.filter((x) => x !== i) });
                }}
                aria-label={`${hidden ? t('Show') : t('Cover')}: ${c}`}
              >
                {hidden ? <Eye size={24} aria-hidden /> : <EyeSlash size={24} aria-hidden />}
                {hidden ? t('Show') : t('Cover')}
              </button>
            )}
          </div>
        );
      })}
    </div>
  );
}
