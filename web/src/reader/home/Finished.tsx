import { Link } from 'react-router';
import { dayOf } from '../../shared/format';
import { scoreOf } from '../../shared/scores';
import { t } from '../../shared/words';
import { toResult, type MyTicket } from '../queries';
import { OwnPart } from './Own';

const most = 4;

/** How it went, in counts and not in percent. */
function outcome(k: MyTicket) {
  if (!k.handedInAt) return t('not sent yet');
  if (k.state !== 'Released') return t('your teacher is reading it');
  if (k.score === null || k.score === undefined) return '';
  return k.kind === 'Written' || k.questions === 0
    ? scoreOf(k.kind, k.score)
    : t('{{right}} of {{of}} right at once', { right: Math.round(k.score * k.questions), of: k.questions });
}

/** What was handed in last. */
export function Finished({ tickets: done }: { tickets: MyTicket[] }) {
  return (
    <OwnPart
      id="done"
      title={t('Finished')}
      beside={
        <Link className="inline-block py-2" to="/mine">
          {done.length > most ? t('All {{count}}', { count: done.length }) : t('My readings')}
        </Link>
      }
    >
      {done.length === 0 && <p>{t('Nothing yet.')}</p>}
      <ul>
        {done.slice(0, most).map((k) => (
          <li key={k.id} className="border-line [&+li]:border-t">
            <Link
              to={toResult(k)}
              className="hover:bg-depth-1 flex min-h-11 flex-wrap items-center justify-between gap-x-4 py-1.5 no-underline"
            >
              <b className="font-serif font-semibold">{k.title}</b>
              <span className="text-soft">
                {k.handedInAt && `${dayOf(k.handedInAt)} · `}
                {outcome(k)}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </OwnPart>
  );
}
