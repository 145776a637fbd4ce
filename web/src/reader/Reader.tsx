import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import type { Session } from '../shared/session';
import { Loading } from '../shared/Whole';
import { Home } from './Home';
import { startOutbox } from './outbox';
import './reader.css';
import './readerviews.css';

const Reading = lazy(() => import('./Reading'));
const Quiz = lazy(() => import('./Quiz'));
const Result = lazy(() => import('./Result'));
const Choose = lazy(() => import('./Choose'));
const Check = lazy(() => import('./check/Check'));

/** The reader's side. */
export default function Reader({ session }: { session: Session }) {
  const client = useQueryClient();
  useEffect(() => startOutbox(() => void client.invalidateQueries({ queryKey: ['my'] })), [client]);
  return (
    <Suspense fallback={<Loading />}>
      <div className={`sized size-${session.supports?.textSize ?? 0}`}>
      <Routes>
        <Route path="/" element={<Home session={session} />} />
        <Route path="/text/:ticketId" element={<Reading />} />
        <Route path="/text/:ticketId/quiz" element={<Quiz session={session} />} />
        <Route path="/text/:ticketId/result" element={<Result />} />
        <Route path="/check/:sittingId" element={<Check session={session} />} />
        <Route path="/choose" element={<Choose />} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
      </div>
    </Suspense>
  );
}
