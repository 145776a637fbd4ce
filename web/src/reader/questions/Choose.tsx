import { Eye, EyeSlash } from '@phosphor-icons/react';
import { useState } from 'react';
import { t } from '../../shared/words';
import type { Picker } from './draft';

/** One choice, or several. Choices may be covered; some readers look at one at a time. */
export function Choose({ q, draft, setDraft, open, heading, oneAtATime }: Picker) {
  const all = q.choices.map((_, i) => i);
  const [covered, setCovered] = useState<number[]>(oneAtATime ? all.slice(1) : []);
  const several = q.kind === 'Multiple';
  const lastTry = q.attempts.at(-1);
  // With one to choose, what was wrong once is wrong again.
  const wrong = new Set(several ? [] : q.attempts.filter((a) => !a.correct).flatMap((a) => a.picks));
  const pick = (i: number) =>
    setDraft({
      ...draft,
      picks: !several ? [i] : draft.picks.includes(i) ? draft.picks.filter((x) => x !== i) : [...draft.picks, i],
    });
  const full = several && draft.picks.length >= q.wanted;
  return (
    <div className="choices" role={several ? 'group' : 'radiogroup'} aria-labelledby={heading}>
      {q.choices.map((c, i) => {
        const hidden = covered.includes(i) && open,
          mine = open ? draft.picks.includes(i) : (lastTry?.picks.includes(i) ?? false);
        return (
          <div key={i} className={['choice', mine && 'mine', hidden && 'covered'].filter(Boolean).join(' ')}>
            <label>
              <input
                type={several ? 'checkbox' : 'radio'}
                name={`choice-${q.id}`}
                disabled={!open || hidden || wrong.has(i) || (full && !mine)}
                checked={mine}
                onChange={() => pick(i)}
              />
              {hidden ? t('Covered by you') : c}
              {wrong.has(i) ? (
                <span className="yours">{t('not this')}</span>
              ) : (
                mine && <span className="yours">{t('My choice')}</span>
              )}
            </label>
            {open && (
              <button
                type="button"
                className="cover"
                onClick={() => {
                  setCovered(
                    !hidden
                      ? [...covered, i]
                      : oneAtATime
                        ? all.filter((x) => x !== i)
                        : covered.filter((x) => x !== i),
                  );
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
