import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../../shared/api';
import { dayOf, fm, percent } from '../../../shared/format';
import { asks, taskWords } from '../../../shared/taskKinds';
import { t } from '../../../shared/words';
import { calledIn, useClass } from '../../classQueries';
import { Flag } from '../../../ui/Shapes';
import { Sheet, SheetPart } from '../../../ui/Sheet';
import type { Plate } from './weekLayout';
import { rowName } from '../rows';
import { unusual } from '../terms';
import { useAssignment } from '../assignmentQuery';
import { Figures, FitWords, Progress } from './PlateCard';
import { Papers } from './Papers';
import { PlateDeeds } from './PlateDeeds';
import type { WeekData } from './useWeek';

/** One assignment of the week: when, what is said with it, who has which version, and what can be done with it. */
export function PlatePanel({
  plate,
  classId,
  d,
  close,
}: {
  plate: Plate;
  classId: string;
  d: WeekData;
  close: () => void;
}) {
  const a = plate.assignment;
  return (
    <Sheet
      title={a.title}
      close={close}
      head={
        <>
          <h2 className="text-xl leading-7">{a.title}</h2>
          <p className="text-sm">
            {[
              rowName(plate.row, d.groups),
              a.kind !== 'Text' && t(taskWords[a.kind]),
              t('{{count}} readers', { count: plate.readers.length }),
              a.draft ? t('draft') : t('given {{day}}', { day: dayOf(a.assignedAt) }),
              a.by,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
        </>
      }
    >
      {!a.draft && (
        <SheetPart>
          <Progress a={a} className="w-full" />
          <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <Figures a={a} />
            {plate.late > 0 && <FitWords p={plate} />}
          </p>
        </SheetPart>
      )}
      <SheetPart>
        <dl className="[&_dt]:text-soft flex gap-6 [&_dd]:font-semibold [&_dt]:text-sm">
          <div>
            <dt>{t('Visible from')}</dt>
            <dd>{dayOf(a.visibleFrom)}</dd>
          </div>
          <div>
            <dt>{t('Due')}</dt>
            <dd>{a.dueOn ? dayOf(a.dueOn) : '–'}</dd>
          </div>
          {asks(a.kind) && (
            <div>
              <dt>{t('Tries')}</dt>
              <dd>{a.attempts}</dd>
            </div>
          )}
        </dl>
        {unusual(a).length > 0 && <p>{unusual(a).join(' · ')}</p>}
        {a.heading && <Said name={t('Heading')}>{a.heading}</Said>}
        {a.directions && <Said name={t('Directions')}>{a.directions}</Said>}
        {a.note && <Said name={t('Note for colleagues')}>{a.note}</Said>}
      </SheetPart>
      {a.draft ? <DraftReaders plate={plate} classId={classId} /> : <Versions plate={plate} classId={classId} />}
      <Together plate={plate} classId={classId} />
      <Papers assignmentId={a.id} may={d.mayAssign} />
      {d.mayAssign && <PlateDeeds plate={plate} classId={classId} d={d} close={close} />}
    </Sheet>
  );
}

const Said = ({ name, children }: { name: string; children: ReactNode }) => (
  <p>
    <b className="font-serif">{name}</b> {children}
  </p>
);

/** What was given in the same act. */
function Together({ plate, classId }: { plate: Plate; classId: string }) {
  const others = useAssignment(plate.assignment.id).data?.together ?? [];
  if (others.length === 0) return null;
  return (
    <SheetPart>
      <h3 className="text-base" id="together">
        {t('Assigned with it')}
      </h3>
      <ul aria-labelledby="together" className="grid gap-1">
        {others.map((o) => (
          <li key={o.id} className="flex flex-wrap items-baseline gap-x-2">
            {o.draft ? o.title : <Link to={`/class/${classId}/assignments/${o.id}`}>{o.title}</Link>}
            <span className="text-soft text-sm">
              {[o.kind !== 'Text' && t(taskWords[o.kind]), o.draft && t('draft')].filter(Boolean).join(' · ')}
            </span>
          </li>
        ))}
      </ul>
    </SheetPart>
  );
}

/** Who has which version, the shallowest first. */
function Versions({ plate, classId }: { plate: Plate; classId: string }) {
  const called = calledIn(useClass(classId).data);
  const one = useAssignment(plate.assignment.id);
  const tickets = (one.data?.tickets ?? []).filter((k) => k.state !== 'TakenBack');
  const depths = [...new Set(tickets.flatMap((k) => k.versionDepth ?? []))].sort((x, y) => x - y);
  if (tickets.length === 0) return null;
  if (depths.length === 0)
    return (
      <SheetPart>
        <h3 className="text-base">{t('For')}</h3>
        <span className="flex flex-wrap gap-1.5">
          {tickets.map((k) => (
            <Ticket key={k.id} of={k} name={called(k.readerId, k.givenName)} classId={classId} />
          ))}
        </span>
      </SheetPart>
    );
  return (
    <SheetPart>
      <h3 className="text-base">{t('Who has which version')}</h3>
      {depths.map((depth) => (
        <div key={depth} className="grid grid-cols-[4rem_minmax(0,1fr)] items-start gap-1.5">
          <span className="pt-0.5 text-sm">{fm(depth)} fm</span>
          <span className="flex flex-wrap gap-1.5">
            {tickets
              .filter((k) => k.versionDepth === depth)
              .map((k) => (
                <Ticket key={k.id} of={k} name={called(k.readerId, k.givenName)} classId={classId} />
              ))}
          </span>
        </div>
      ))}
    </SheetPart>
  );
}

const lowest = 0.7;

const Ticket = ({ of: k, name, classId }: { of: Api<'TicketRow'>; name: string; classId: string }) => (
  <Flag deep={k.forecast != null && k.forecast < lowest}>
    <Link to={`/class/${classId}/tickets/${k.id}`} className="no-underline hover:underline">
      {name}
    </Link>
    {k.forecast != null && k.forecast < lowest && <b>{percent(k.forecast)}</b>}
  </Flag>
);

function DraftReaders({ plate, classId }: { plate: Plate; classId: string }) {
  const readers = useClass(classId).data?.readers ?? [];
  return (
    <SheetPart>
      <h3 className="text-base">{t('For')}</h3>
      <span className="flex flex-wrap gap-1.5">
        {readers
          .filter((r) => plate.readers.includes(r.id))
          .map((r) => (
            <Flag key={r.id}>{r.called}</Flag>
          ))}
      </span>
      <p className="text-soft text-sm">
        <FitWords p={plate} />
      </p>
    </SheetPart>
  );
}
