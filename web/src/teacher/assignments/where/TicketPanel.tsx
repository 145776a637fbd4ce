import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ok } from '../../../shared/api';
import { dayOf, fm, minutes, percent, timeOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { isDone, isOpen, ticketWords } from '../../../shared/ticketStates';
import { scoreSaid } from '../../../shared/scores';
import { taskWords } from '../../../shared/taskKinds';
import { phrase, t, type Phrase } from '../../../shared/words';
import type { ClassData } from '../../classQueries';
import { markName, TideMarks } from '../../../ui/TideMarks';
import { Button } from '../../../ui/Button';
import { Sheet, SheetFoot, SheetPart } from '../../../ui/Sheet';
import { StateMark } from '../../../ui/StateMark';
import { ReaderNotes } from '../ReaderNotes';
import { Replies } from '../Replies';
import { usePlan } from '../week/useWeek';
import type { Place, PlacesData } from './places';
import { OtherVersion } from './OtherVersion';
import { OwnDay } from './OwnDay';
import { SendBack } from '../SendBack';

/** One reader's work on one assignment as it is now, and what can be done with it. */
export function TicketPanel({
  d,
  data,
  ticket: k,
  close,
}: {
  d: PlacesData;
  data: ClassData;
  ticket: Place;
  close: () => void;
}) {
  const reader = data.readers.find((r) => r.id === k.readerId);
  const a = d.plates.find((p) => p.assignment.id === k.assignmentId)?.assignment;
  const live = useQuery({
    queryKey: keys.ticket(k.id),
    queryFn: () => ok(api.GET('/tickets/{ticketId}', { params: { path: { ticketId: k.id } } })),
  });
  const answered = (live.data?.questions ?? []).flatMap((q, i) => {
    const answer = live.data?.answers[i];
    return answer && answer.tries.length > 0 ? [{ q, answer }] : [];
  });
  return (
    <Sheet
      title={t('{{name}}, {{title}}', { name: reader?.called ?? '', title: a?.title ?? '' })}
      close={close}
      head={
        <>
          <h2 className="text-xl leading-7">
            {reader?.givenName} {reader?.familyName}
          </h2>
          <p className="text-sm">
            <Link to={`/class/${data.id}/assignments/${k.assignmentId}`}>{a?.title}</Link>
          </p>
          <p className="text-sm">
            {a && a.kind !== 'Text' && `${t(taskWords[a.kind])} `}
            {k.depth != null &&
              k.forecast != null &&
              t('version {{depth}} fm · fit {{fit}}', { depth: fm(k.depth), fit: percent(k.forecast) })}
            {k.givenDepth != null && ` · ${t('chosen by reader, {{depth}} fm given', { depth: fm(k.givenDepth) })}`}
          </p>
        </>
      }
    >
      <SheetPart>
        <p className="flex items-center gap-2 font-semibold">
          <StateMark state={k.state} bare /> {t(ticketWords[k.state])}
          {k.round > 1 && t('round {{n}}', { n: k.round })}
        </p>
        <p>
          {k.state === 'UnderWay' &&
            k.pages > 0 &&
            t('page {{n}} of {{of}}', { n: Math.min(k.page + 1, k.pages), of: k.pages })}
          {k.score != null && scoreSaid(a?.kind, k.score)}
        </p>
        <p className="text-sm">
          {[
            k.dueOn && t('due {{day}}', { day: dayOf(k.dueOn) }),
            k.openedAt && t('Opened {{day}} {{time}}', { day: dayOf(k.openedAt), time: timeOf(k.openedAt) }),
            k.handedInAt && t('handed in {{day}} {{time}}', { day: dayOf(k.handedInAt), time: timeOf(k.handedInAt) }),
            live.data &&
              live.data.ticket.seconds > 0 &&
              t('active {{time}}', { time: minutes(live.data.ticket.seconds) }),
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </SheetPart>
      <SheetPart>
        <h3 className="text-base">{t('Answers so far')}</h3>
        {live.data?.content && <Replies of={live.data} />}
        {live.data && !live.data.content && answered.length === 0 && (
          <p className="text-soft">{t('No answers yet.')}</p>
        )}
        <ol className="grid gap-1.5">
          {answered.map(({ q, answer }) => (
            <li key={q.id} className="text-sm">
              <b className="font-semibold">{q.stem}</b>
              <span className="flex items-center gap-1.5">
                <TideMarks of={[answer.mark]} /> {markName(answer.mark)}
              </span>
            </li>
          ))}
        </ol>
      </SheetPart>
      <ReaderNotes ticketId={k.id} mayAnswer={live.data?.mayMark ?? false} />
      <Deeds k={k} textId={a?.textId ?? null} classId={data.id} may={d.mayAssign} today={d.today} />
    </Sheet>
  );
}

/** Why some of it cannot be done. */
function whyNot(k: Place): Phrase {
  if (k.state === 'Closed') return phrase('It is closed. A later due day opens it again.');
  if (isDone(k.state)) return phrase('What is handed in is not taken back.');
  return phrase('Assign again and Send back wait for work handed in.');
}

/** What can be done with a ticket; what cannot says why. */
function Deeds({
  k,
  textId,
  classId,
  may,
  today,
}: {
  k: Place;
  textId: string | null;
  classId: string;
  may: boolean;
  today: string;
}) {
  const plan = usePlan(classId);
  const [shown, show] = useState<'sendBack' | 'day' | null>(null);
  const waits = isOpen(k.state) || k.state === 'Closed';
  const handedIn = isDone(k.state);
  return (
    <SheetFoot>
      <Button asChild look="main">
        <Link to={`/class/${classId}/tickets/${k.id}`}>{t('Open')}</Link>
      </Button>
      <Button asChild>
        <Link to={`/class/${classId}/as/${k.readerId}/${k.id}`}>{t('See as reader')}</Link>
      </Button>
      {may && (
        <>
          <Button disabled={!handedIn} onClick={() => void plan.quietly(plan.tickets('GiveAgain', [k.id]))}>
            {t('Assign again')}
          </Button>
          <Button disabled={!handedIn} onClick={() => show('sendBack')}>
            {t('Send back…')}
          </Button>
          {k.state === 'TakenBack' ? (
            <Button onClick={() => void plan.quietly(plan.tickets('Restore', [k.id]))}>{t('Restore')}</Button>
          ) : (
            <Button
              disabled={handedIn || k.state === 'Closed'}
              onClick={() => void plan.quietly(plan.tickets('TakeBack', [k.id]))}
            >
              {t('Take back')}
            </Button>
          )}
          <Button disabled={!waits} onClick={() => show('day')}>
            {t('Due day…')}
          </Button>
          <Button disabled={!isOpen(k.state) || k.reminded} onClick={() => void plan.quietly(plan.remind([k.id]))}>
            {k.reminded ? t('Reminded') : t('Remind')}
          </Button>
          {k.state === 'Marked' && (
            <Button onClick={() => void plan.quietly(plan.tickets('Release', [k.id]))}>{t('Release')}</Button>
          )}
          {textId && isOpen(k.state) && k.answered === 0 && (
            <OtherVersion k={k} textId={textId} classId={classId} plan={plan} />
          )}
          <p className="col-span-2 text-sm">{t(whyNot(k))}</p>
        </>
      )}
      {shown === 'sendBack' && (
        <SendBack
          title={t('Send back to {{count}} readers', { count: 1 })}
          missed={textId !== null}
          send={(comment, onlyMissed) => plan.tell(plan.tickets('SendBack', [k.id], comment, onlyMissed))}
          close={() => show(null)}
        />
      )}
      {shown === 'day' && (
        <OwnDay plan={plan} ticketIds={[k.id]} today={today} dueOn={k.dueOn} close={() => show(null)} />
      )}
    </SheetFoot>
  );
}
