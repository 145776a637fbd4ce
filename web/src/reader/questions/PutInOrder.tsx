import { t } from '../../shared/words';
import type { Widget } from './draft';

/** Things are tapped in their order; tapping one again takes it back. */
export function PutInOrder({ q, draft, setDraft, open, heading }: Widget) {
  const order = open ? draft.picks : (q.attempts.at(-1)?.picks ?? []);
  const tap = (i: number) =>
    setDraft({ ...draft, picks: draft.picks.includes(i) ? draft.picks.filter((x) => x !== i) : [...draft.picks, i] });
  return (
    <ol className="ordering" aria-labelledby={heading}>
      {q.choices.map((c, i) => {
        const place = order.indexOf(i);
        return (
          <li key={i}>
            <button
              type="button"
              className={place >= 0 ? 'tapped' : undefined}
              aria-pressed={place >= 0}
              disabled={!open}
              onClick={() => tap(i)}
            >
              <b aria-label={place >= 0 ? t('number {{n}}', { n: place + 1 }) : t('no number yet')}>
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
