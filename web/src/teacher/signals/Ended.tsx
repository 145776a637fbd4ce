import type { Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { calledIn, type ClassData } from '../classQueries';
import { Button } from '../../ui/Button';
import { SignalRow } from './SignalRow';
import { signalName, type SignalKind } from './signals';
import { useStep } from './useStep';
import type { useSignalDeeds } from './useSignals';

type Data = Api<'SignalsView'>;

const ends: Record<Api<'SignalEnd'>, ReturnType<typeof phrase>> = {
  Evidence: phrase('{{count}} by new evidence'),
  Step: phrase('{{count}} after a step'),
  Done: phrase('{{count}} marked done'),
};

/** What waits for a day, and what ended this term and how; folded. */
export function Ended({ x, data, deeds }: { x: Data; data: ClassData; deeds: ReturnType<typeof useSignalDeeds> }) {
  const step = useStep(data);
  const name = calledIn(data);
  const counts = (Object.keys(ends) as Api<'SignalEnd'>[])
    .map((how) => ({ how, count: x.resolved.filter((r) => r.how === how).length }))
    .filter((c) => c.count > 0);
  const howWords = counts.map((c) => t(ends[c.how], { count: c.count })).join(', ');
  const called = (of: { readerId: string | null; kind: SignalKind }) =>
    of.readerId ? name(of.readerId, '') : signalName(of.kind);
  return (
    <div className="bg-sand border-ink max-h-2/5 shrink-0 overflow-auto border-t">
      {x.putOff.length > 0 && (
        <details className="border-line border-b px-4 py-1.5">
          <summary>
            <b className="font-serif">{t('Put off')}</b> {x.putOff.length},{' '}
            {t('next {{day}}', { day: dayOf(x.putOff[0]?.until ?? data.today) })}
          </summary>
          <ul className="bg-paper mt-1.5">
            {x.putOff.map((s) => (
              <SignalRow key={s.id} s={s} data={data} deeds={deeds} take={step.take} />
            ))}
          </ul>
        </details>
      )}
      <details className="px-4 py-1.5">
        <summary>
          <b className="font-serif">{t('Resolved')}</b>{' '}
          {x.resolved.length === 0
            ? t('none this term')
            : `${t('{{count}} this term', { count: x.resolved.length })}: ${howWords}`}
        </summary>
        <ul className="mt-1">
          {x.resolved.map((r) => (
            <li key={r.id} className="border-line flex flex-wrap gap-x-2 border-t py-0.75 text-sm">
              <b>{signalName(r.kind)}</b> {called(r)}
              <span className="text-soft">
                {t(ends[r.how], { count: 1 }).replace(/^\d+ /, '')}, {dayOf(r.at)}
                {r.by && `, ${r.by}`}
              </span>
              {r.stands && data.mayAssign && (
                <Button size="sm" look="plain" onClick={() => deeds.reopen([r.id])}>
                  {t('Take up again')}
                </Button>
              )}
            </li>
          ))}
        </ul>
      </details>
      {step.over}
    </div>
  );
}
