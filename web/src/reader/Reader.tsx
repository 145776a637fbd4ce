import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Navigate, Route, Routes, useNavigate } from 'react-router';
import { keys } from '../shared/keys';
import { fetchWhenIdle } from '../shared/part';
import type { Session } from '../shared/session';
import { takeReturn } from '../shared/comingBack';
import { FromLink } from './FromLink';
import { Home } from './Home';
import { startOutbox } from './offline/outbox';
import { belongTo } from './offline/store';
import { OwnColumns } from './home/own';
import { Older, Young } from './home/parts';
import { Check, Choose, KeptWords, Mine, pages, Papers, Quiz, Reading, Result, Task } from './parts';
import { startWorker } from './offline/worker';
import { SupportsScope } from './supports';

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
    fetchWhenIdle([Older, OwnColumns, Young, ...pages]);
  }, []);
  return (
    <SupportsScope everywhere={session.supports}>
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
    </SupportsScope>
  );
}
