import { Link } from 'react-router';
import { t } from '../../shared/words';
import { calledIn, type ClassData } from '../classQueries';
import { Button } from '../../ui/Button';
import { SidePanel } from '../../ui/Page';
import { Buoy } from './Buoy';
import { inTurns, signalName, signals } from './signals';
import { stepWords, useStep } from './useStep';

const most = 5;

/** At most five signals, each one sentence with its evidence and what to do about it; the rest are a click away. */
export function LookHere({ data, open }: { data: ClassData; open: (id: string) => void }) {
  const step = useStep(data);
  const name = calledIn(data);
  const all = inTurns([...data.readers.flatMap((r) => r.signals), ...data.signals]);
  return (
    <SidePanel aria-labelledby="look" className="group-data-sheet/work:hidden">
      <h2 id="look" className="px-4 pt-2.75 pb-2.5">
        {t('Look here first')}
      </h2>
      {all.length === 0 && (
        <p className="px-4 py-2">{t('No signals now. They appear here when a reader’s work stands out.')}</p>
      )}
      <ul>
        {all.slice(0, most).map((s) => {
          const called = s.readerId ? name(s.readerId, '') : '';
          const [what, evidence] = signals[s.kind].says(called, s);
          return (
            <li key={s.id} className="border-line grid gap-0.75 border-t px-4 pt-2.25 pb-2.75">
              <p className="flex items-center gap-1.5 text-sm font-bold">
                <Buoy kind={s.kind} />
                {signalName(s.kind)}
              </p>
              <p>{what}</p>
              {evidence && <p className="text-soft text-sm">{evidence}</p>}
              <p className="mt-0.75 flex flex-wrap gap-1">
                <Button size="sm" onClick={() => step.take(s)}>
                  {stepWords(s, called, data)}
                </Button>
                {s.readerId && (
                  <Button look="plain" size="sm" onClick={() => open(s.readerId ?? '')}>
                    {t('Open {{name}}', { name: called })}
                  </Button>
                )}
              </p>
            </li>
          );
        })}
      </ul>
      {all.length > 0 && (
        <p className="border-line border-t px-4 py-2.25">
          <Link to={`/class/${data.id}/signals`}>{t('All {{count}} signals', { count: all.length })}</Link>
        </p>
      )}
      {step.over}
    </SidePanel>
  );
}
