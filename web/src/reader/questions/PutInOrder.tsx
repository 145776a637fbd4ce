import { cx } from 'class-variance-authority';
import { t } from '../../shared/words';
import type { Widget } from './draft';
import { tapLook } from '../../ui/Reader';

/** Things are tapped in their order; tapping one again takes it back. */
export function PutInOrder({ q, draft, setDraft, open, heading }: Widget) {
  const order = open ? draft.picks : (q.attempts.at(-1)?.picks ?? []);
  const tap = (i: number) =>
    setDraft({ ...draft, picks: draft.picks.includes(i) ? draft.picks.filter((x) => x !== i) : [...draft.picks, i] });
  return (
    <ol className="grid gap-2.5" aria-labelledby={heading}>
      {q.choices.map((c, i) => {
        const place = order.indexOf(i);
        return (
          <li key={i}>
            <button
              type="button"
              className={tapLook({ mine: place >= 0 })}
              aria-pressed={place >= 0}
              disabled={!open}
              onClick={() => tap(i)}
            >
              <b
                className={cx(
                  'font-ui grid size-10 flex-none place-content-center rounded-full border-2 text-xl leading-none',
                  place >= 0 ? 'border-overlay bg-overlay text-paper' : 'border-soft',
                )}
                aria-label={place >= 0 ? t('number {{n}}', { n: place + 1 }) : t('no number yet')}
              >
                {place >= 0 ? place + 1 : ''}
              </b>
              <span>{c}</span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
