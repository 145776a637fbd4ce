import { ArrowsDownUp, Hand, Printer } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import { dayOf } from '../../shared/format';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { useKept } from '../../shared/useKept';
import { calledIn, type ClassData } from '../classQueries';
import type { Place } from '../frame/Frame';
import { Passage } from '../texts/ReadText';
import { BeginRecord } from '../tray/dialogs';
import { Button } from '../../ui/Button';
import { PageHead } from '../../ui/Page';
import { Plate } from '../../ui/Shapes';
import { Show } from '../../ui/Show';
import { MeetingClock } from './MeetingClock';
import { NextPoint } from './NextPoint';
import { allMarks, marks, pointName, pointOf } from './points';
import { ReaderRow } from './ReaderRow';
import { inSeats, moved } from './seats';
import { useMeeting, useSeeing, type MeetingData } from './useMeetings';
import { Water } from './Water';

/** A meeting on the teacher's knee: the text, who is here, two taps a reader, and what follows. */
export default function Meeting() {
  const { data } = useOutletContext<Place>();
  const { meetingId = '' } = useParams();
  const meeting = useMeeting(meetingId);
  return <Show query={meeting}>{(x) => <Held x={x} data={data} />}</Show>;
}

function Held({ x, data }: { x: MeetingData; data: ClassData }) {
  const m = x.meeting;
  const left = useKept(`dc-left-handed`, false);
  const seeing = useSeeing(m.id);
  const here = x.readers.length - x.seen.filter((s) => !s.here).length;
  return (
    <section className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto] max-lg:block" aria-labelledby="title">
      <div>
        <PageHead
          title={m.group}
          beside={
            <p className="text-soft">
              {[
                dayOf(m.day),
                m.startsAt,
                t('{{here}} of {{count}} here', { here, count: x.readers.length }),
                m.endedAt && t('held'),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          }
        >
          <Button asChild>
            <Link to={`/class/${data.id}/groups/meetings?monday=${m.day}`}>{t('All meetings')}</Link>
          </Button>
          <Button aria-pressed={left.value} onClick={() => left.set(!left.value)}>
            <Hand size={20} aria-hidden /> {left.value ? t('Right-handed') : t('Left-handed')}
          </Button>
          <Button onClick={() => window.print()}>
            <Printer size={20} aria-hidden /> {t('Print')}
          </Button>
          {!m.begunAt && (
            <Button look="main" onClick={() => void seeing.begin()}>
              {t('Begin meeting')}
            </Button>
          )}
          {m.begunAt && !m.endedAt && <Button onClick={() => void seeing.end()}>{t('End meeting')}</Button>}
        </PageHead>
        {m.begunAt && !m.endedAt && <MeetingClock begunAt={m.begunAt} minutes={m.minutes} />}
      </div>
      <div className="border-ink grid min-h-0 border-t max-lg:block lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <TextSide x={x} data={data} />
        <Readers x={x} data={data} left={left.value} see={seeing.see} />
      </div>
      <Foot x={x} data={data} />
    </section>
  );
}

/** The point, what to ask, and the text with the sentence that proves the answer. */
function TextSide({ x, data }: { x: MeetingData; data: ClassData }) {
  const m = x.meeting;
  return (
    <div
      className="border-ink min-h-0 overflow-auto max-lg:max-h-80 max-lg:border-b lg:border-r print:max-h-none"
      role="region"
      aria-label={t('Text')}
      tabIndex={0}
    >
      <div className="bg-depth-1 border-line border-b px-5 py-3">
        <p className="text-soft text-sm">
          {[t('Teaching point'), m.words && pointName({ kind: m.point, strand: m.strand })].filter(Boolean).join(', ')}
        </p>
        <h2 className="text-xl">{pointOf(m)}</h2>
        {x.ask && (
          <p className="mt-1">
            <b>{t('Ask')}</b> “{x.ask.stem}”
          </p>
        )}
      </div>
      {m.textId && (
        <div className="px-5 py-3">
          <Link to={`/class/${data.id}/texts/${m.textId}`} className="no-underline">
            <Plate>{m.title}</Plate>
          </Link>
          <div className="mt-3">
            <Passage pages={x.pages} proof={x.ask?.proof ?? null} />
          </div>
        </div>
      )}
      {!m.textId && <p className="text-soft px-5 py-3">{t('No text is chosen for this meeting.')}</p>}
    </div>
  );
}

const noSeats: string[] = [];

/** Readers as they sit, never by level. */
function Readers({
  x,
  data,
  left,
  see,
}: {
  x: MeetingData;
  data: ClassData;
  left: boolean;
  see: ReturnType<typeof useSeeing>['see'];
}) {
  const inClass = calledIn(data);
  const guests = new Map(x.guests.map((g) => [g.id, g.givenName]));
  const called = (id: string) => inClass(id, guests.get(id) ?? '');
  const [reading, read] = useState<string | null>(null);
  const [inHand, take] = useState<string | null>(null);
  const [seating, sit] = useState(false);
  const m = x.meeting;
  const seats = useKept<string[]>(`dc-seats-${m.groupId}`, noSeats);
  const sitting = inSeats(x.readers, seats.value);
  return (
    <div className="bg-depth-1 min-h-0 overflow-auto px-4 py-3" role="region" aria-label={t('Readers')} tabIndex={0}>
      {x.before && (
        <p className="pb-2 text-sm">
          {t('{{day}}: {{point}}, {{count}} seen', {
            day: dayOf(x.before.day),
            point: pointOf(x.before),
            count: x.before.seen,
          })}{' '}
          <Link to={`/class/${data.id}/groups/meetings/${x.before.id}`}>{t('Look at it')}</Link>
        </p>
      )}
      <p className="flex justify-end pb-1.5 print:hidden">
        <Button size="sm" aria-pressed={seating} onClick={() => sit(!seating)}>
          <ArrowsDownUp size={18} aria-hidden /> {seating ? t('Done') : t('Seats')}
        </Button>
      </p>
      <ul className="grid gap-2">
        {sitting.map((id) => {
          const kept = x.seen.find((s) => s.readerId === id);
          return (
            <ReaderRow
              key={id}
              meetingId={m.id}
              listens={x.listens}
              seat={seating ? (by) => seats.set(moved(sitting, id, by)) : null}
              name={called(id)}
              seen={{
                here: kept?.here ?? true,
                mark: kept?.mark ?? null,
                observed: kept?.observed ?? [],
                note: kept?.note ?? '',
              }}
              phrases={x.phrases}
              left={left}
              open={inHand === id}
              look={() => take(id)}
              see={(seen) => void see(id, seen)}
              aloud={m.textId ? () => read(id) : null}
            />
          );
        })}
      </ul>
      {reading !== null && (
        <BeginRecord classId={data.id} reader={{ id: reading, givenName: called(reading) }} close={() => read(null)} />
      )}
    </div>
  );
}

/** How it went for all, and what the next meeting should do. */
function Foot({ x, data }: { x: MeetingData; data: ClassData }) {
  const count = (mark: (typeof allMarks)[number]) => x.seen.filter((s) => s.here && s.mark === mark).length;
  return (
    <div className="bg-sand border-ink flex flex-wrap items-center gap-5 border-t px-5 py-2 print:hidden">
      <ul aria-label={t('How it went')} className="flex gap-4">
        {allMarks.map((mark) => (
          <li key={mark} className="grid place-items-center text-sm">
            <Water mark={mark} />
            <span>
              <b>{count(mark)}</b> {t(marks[mark])}
            </span>
          </li>
        ))}
      </ul>
      {x.next ? (
        <NextPoint next={sure(x.next)} m={x.meeting} data={data} />
      ) : (
        <p className="text-soft">{t('Mark two readers, and the next point follows from what was seen.')}</p>
      )}
    </div>
  );
}
