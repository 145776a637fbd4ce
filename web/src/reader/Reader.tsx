import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Navigate, Route, Routes, useNavigate } from 'react-router';
import { keys } from '../shared/keys';
import { part } from '../shared/part';
import type { Session } from '../shared/session';
import { takeReturn } from '../shared/comingBack';
import { FromLink } from './FromLink';
import { Home, partsOfHome } from './Home';
import { startOutbox } from './offline/outbox';
import { belongTo } from './offline/store';
import { startWorker } from './offline/worker';

const parts = {
  reading: () => import('./Reading'),
  quiz: () => import('./Quiz'),
  result: () => import('./Result'),
  choose: () => import('./Choose'),
  check: () => import('./check/Check'),
  task: () => import('./task/Task'),
  papers: () => import('./papers/Papers'),
  words: () => import('./words/KeptWords'),
  mine: () => import('./mine/Mine'),
};
const Reading = part(parts.reading);
const Quiz = part(parts.quiz);
const Result = part(parts.result);
const Choose = part(parts.choose);
const Check = part(parts.check);
const Task = part(parts.task);
const Papers = part(parts.papers);
const KeptWords = part(parts.words);
const Mine = part(parts.mine);

/** The reader's side. Everything of it is one reader's: with another it begins anew. */
export default function Reader({ session }: { session: Session }) {
  return <Own key={session.id} session={session} />;
}

function Own({ session }: { session: Session }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  useState(() => belongTo(session.id ?? ''));
  useEffect(() => startOutbox(() => void client.invalidateQueries({ queryKey: keys.my.all })), [client]);
  useEffect(() => {
    const back = takeReturn(session.id ?? '');
    if (back) void navigate(back, { replace: true });
  }, [navigate, session.id]);
  // The other pages come while there is a network, so that they are there when there is none.
  useEffect(() => {
    startWorker();
    for (const load of Object.values({ ...partsOfHome, ...parts })) load().catch(() => undefined);
  }, []);
  return (
    <div className="group/size contents" data-size={session.supports?.textSize ?? 0}>
      <Routes>
        <Route path="/" element={<Home session={session} />} />
        <Route path="/text/:ticketId" element={<Reading />} />
        <Route path="/text/:ticketId/quiz" element={<Quiz session={session} />} />
        <Route path="/text/:ticketId/result" element={<Result />} />
        <Route path="/check/:sittingId" element={<Check session={session} />} />
        <Route path="/papers/:ticketId" element={<Papers />} />
        <Route path="/do/:ticketId" element={<Task session={session} />} />
        <Route path="/task/:assignmentId" element={<FromLink />} />
        <Route path="/words" element={<KeptWords />} />
        <Route path="/mine" element={<Mine />} />
        <Route path="/choose" element={<Choose />} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </div>
  );
}
