import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { percent, shortDay } from '../../shared/format';
import { scoreOf } from '../../shared/scores';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import { useReader, type ReaderData } from '../classQueries';
import { DepthScale } from './DepthScale';
import { Trail } from './Trail';
import { GoalBar, rangeWords, Strands } from './ReaderPieces';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import { Show } from '../../ui/Show';

type Props = { classId: string; readerId: string; close: () => void };

/** One reader beside the list: the list narrows and is never covered. Esc closes. */
export default function ReaderSheet({ classId, readerId, close }: Props) {
  const reader = useReader(readerId);
  return (
    <Sheet title={t('Reader')} close={close} head={reader.data && <Head r={reader.data} classId={classId} />}>
      <Show query={reader}>{(r) => <Parts r={r} classId={classId} />}</Show>
    </Sheet>
  );
}

function Head({ r, classId }: { r: ReaderData; classId: string }) {
  const grade = t('grade {{grade}}', { grade: r.grade === 0 ? 'K' : r.grade });
  return (
    <div className="flex items-center gap-1.5">
      <h2 className="grow">
        {r.givenName} {r.familyName}
        <span className="font-ui ml-1.5 text-base font-normal">{[r.group, grade].filter(Boolean).join(', ')}</span>
      </h2>
      <Button asChild look="plain" size="sm">
        <Link to={`/class/${classId}/readers/${r.id}`}>{t('Open profile')}</Link>
      </Button>
    </div>
  );
}

function Part({ title, beside, children }: { title: string; beside?: ReactNode; children: ReactNode }) {
  return (
    <section className="border-line border-b px-4.5 pt-1.5 pb-1.75">
      <PartHead title={title} beside={beside} />
      {children}
    </section>
  );
}

const PartHead = ({ title, beside }: { title: string; beside?: ReactNode }) => (
  <h3 className="flex items-baseline gap-2">
    {title}
    {beside && <span className="font-ui text-soft text-sm font-normal">{beside}</span>}
  </h3>
);

function Parts({ r, classId }: { r: ReaderData; classId: string }) {
  return (
    <>
      <Part title={t('Depth and reach')} beside={rangeWords(r)}>
        <DepthScale r={r} />
      </Part>
      <Part title={t('This school year')}>
        <Trail r={r} />
      </Part>
      <section className="border-line grid grid-cols-[178px_1fr] gap-5 border-b px-4.5 pt-1.5 pb-1.75">
        <div>
          <PartHead title={t('Goals')} />
          {r.goals.length === 0 ? (
            <p className="text-soft text-sm">{t('No goals this term.')}</p>
          ) : (
            r.goals.map((g) => <GoalBar key={g.kind} goal={g} />)
          )}
        </div>
        <div>
          <PartHead title={t('Strands')} beside={t('12 weeks, 90% range')} />
          <Strands strands={r.strands} />
        </div>
      </section>
      <Part title={t('Last readings')}>
        {r.readings.length === 0 ? (
          <p className="text-soft text-sm">{t('Nothing read here yet.')}</p>
        ) : (
          <ul>
            {r.readings.slice(0, 4).map((k) => (
              <li key={k.ticketId} className="grid grid-cols-[48px_1fr_66px_60px] gap-2 text-sm leading-6">
                <span>{k.handedInAt ? shortDay(k.handedInAt) : t('now')}</span>
                <Link to={`/class/${classId}/tickets/${k.ticketId}`}>{k.title}</Link>
                <span>{k.forecast != null && `${t('fit')} ${percent(k.forecast)}`}</span>
                <span className="text-right">
                  {k.score == null ? t(ticketWords[k.state]) : scoreOf(k.kind, k.score)}
                </span>
              </li>
            ))}
          </ul>
        )}
      </Part>
    </>
  );
}
