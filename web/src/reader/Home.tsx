import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { today as todayHere } from '../shared/format';
import { pictureOf } from '../shared/paragraphs';
import { useLeave, type Session } from '../shared/session';
import { ofText } from '../shared/taskKinds';
import { Show } from '../ui/Show';
import { checkOf, useMyChecks } from './check/checkQueries';
import { inOrder } from './home/order';
import { useNew } from './home/useNew';
import { useAhead } from './offline/kept';
import { useOutbox } from './offline/outbox';
import { forgetKept } from './offline/store';
import { forgetFiles } from './offline/worker';
import { Older, Young } from './home/parts';
import { finished, useHome, useMine, workOf, type MyTicket, type Work } from './queries';
import { taskOf } from './task/useTask';

/** What is next, what comes after, and what is one's own: as a reader of this age has it. */
export function Home({ session }: { session: Session }) {
  const mine = useMine();
  useFetchAhead(mine.data ?? []);
  useOutbox();
  return <Show query={mine}>{(all) => <Own session={session} all={all} />}</Show>;
}

function Own({ session, all }: { session: Session; all: MyTicket[] }) {
  const home = useHome().data ?? null;
  const leave = useLeave();
  const navigate = useNavigate();
  const signOut = async () => {
    const next = await leave(session);
    void forgetKept(session.id ?? '');
    void forgetFiles();
    await navigate(next.handedOver ? `/read/${next.handedOver.code}` : '/read');
  };
  const today = home?.today ?? todayHere();
  const open = inOrder(
    all.filter((k) => !finished(k)),
    today,
  );
  const isNew = useNew(
    session.id ?? '',
    open.map((k) => k.id),
  );
  return session.home === 'Pictures' ? (
    <Young session={session} home={home} open={open} signOut={() => void signOut()} />
  ) : (
    <Older
      session={session}
      home={home}
      today={today}
      open={open}
      done={all.filter(finished)}
      isNew={isNew}
      signOut={() => void signOut()}
    />
  );
}

/** What a reader has to do comes to the device while there is a network: texts, quizzes, voices, pictures. */
function useFetchAhead(tickets: MyTicket[]) {
  const client = useQueryClient();
  const checks = useMyChecks().data ?? [];
  const files = (said: unknown) => {
    const w = said as Work;
    return [
      ...(w.sound ? [`/api/my/tickets/${w.id}/sound`] : []),
      ...w.pages.flat().flatMap((p) => {
        const picture = pictureOf(p);
        return picture ? [`/api/pictures/${picture.name}`] : [];
      }),
    ];
  };
  useAhead(client, [
    ...checks.map((k) => checkOf(k.id)),
    ...tickets
      .filter((k) => !finished(k))
      .map((k) => (ofText(k.kind) ? { ...workOf(k.id), sounds: files } : taskOf(k.id))),
  ]);
}
