import { lazy, Suspense, useEffect } from 'react';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import { Toaster } from 'sonner';
import type { Session } from '../shared/session';
import { Loading } from '../shared/Whole';
import { Frame } from './frame/Frame';
import { NewClass } from './frame/NewClass';
import './teacher.css';

const Chart = lazy(() => import('./chart/Chart'));
const Readers = lazy(() => import('./readers/Readers'));
const RosterPage = lazy(() => import('./readers/roster/RosterPage'));
const Many = lazy(() => import('./readers/many/Many'));
const Lists = lazy(() => import('./readers/roster/Lists'));
const Guardians = lazy(() => import('./readers/roster/Guardians'));
const ClassPage = lazy(() => import('./readers/roster/ClassPage'));
const Profile = lazy(() => import('./readers/Profile'));
const Texts = lazy(() => import('./texts/Texts'));
const TextPage = lazy(() => import('./texts/TextPage'));
const Copies = lazy(() => import('./texts/Copies'));
const Decks = lazy(() => import('./texts/Decks'));
const Bring = lazy(() => import('./texts/Bring'));
const QuizEditor = lazy(() => import('./texts/quiz/QuizEditor'));
const Marking = lazy(() => import('./marking/Marking'));
const TextEditor = lazy(() => import('./texts/TextEditor'));
const Assignments = lazy(() => import('./assignments/Assignments'));
const Checks = lazy(() => import('./checks/Checks'));
const CheckEditor = lazy(() => import('./checks/CheckEditor'));
const CheckPage = lazy(() => import('./checks/CheckPage'));
const Assignment = lazy(() => import('./assignments/Assignment'));
const Ticket = lazy(() => import('./assignments/Ticket'));
const RecordPage = lazy(() => import('./oral/RecordPage'));
const Goals = lazy(() => import('./goals/Goals'));
const Groups = lazy(() => import('./groups/Groups'));
const School = lazy(() => import('./school/School'));
const History = lazy(() => import('./frame/History'));

const lastClass = 'dc-class';

/** The teacher's side: one class at a time, its places, the tray. */
export default function Teacher({ session }: { session: Session }) {
  const { pathname } = useLocation();
  const here = pathname.match(/^\/class\/([^/]+)/)?.[1];
  useEffect(() => { if (here) localStorage.setItem(lastClass, here); }, [here]);
  const open = session.classes.filter((c) => !c.closed);
  if (session.classes.length === 0 && !session.lead) return <><NewClass session={session} /><Toaster position="bottom-left" /></>;
  const kept = localStorage.getItem(lastClass);
  const home = session.classes.find((c) => c.id === kept) ?? open[0] ?? session.classes[0];
  return (
    <>
      <Suspense fallback={<Loading />}>
        <Routes>
          <Route path="/class/:classId" element={<Frame session={session} />}>
            <Route index element={<Chart />} />
            <Route path="readers" element={<Readers />} />
            <Route path="readers/roster" element={<RosterPage />} />
            <Route path="readers/many" element={<Many />} />
            <Route path="readers/lists" element={<Lists />} />
            <Route path="readers/guardians" element={<Guardians />} />
            <Route path="readers/class" element={<ClassPage />} />
            <Route path="readers/:readerId" element={<Profile />} />
            <Route path="readers/:readerId/records/:recordId" element={<RecordPage />} />
            <Route path="texts" element={<Texts />} />
            <Route path="texts/new" element={<TextEditor />} />
            <Route path="texts/copies" element={<Copies />} />
            <Route path="texts/decks" element={<Decks />} />
            <Route path="texts/bring" element={<Bring />} />
            <Route path="texts/:textId" element={<TextPage />} />
            <Route path="texts/:textId/change" element={<TextEditor />} />
            <Route path="assignments" element={<Assignments />} />
            <Route path="assignments/checks" element={<Checks />} />
            <Route path="assignments/checks/new" element={<CheckEditor />} />
            <Route path="assignments/checks/:checkId" element={<CheckPage />} />
            <Route path="assignments/checks/:checkId/change" element={<CheckEditor />} />
            <Route path="assignments/:assignmentId" element={<Assignment />} />
            <Route path="tickets/:ticketId" element={<Ticket />} />
            <Route path="texts/:textId/quiz" element={<QuizEditor />} />
            <Route path="marking" element={<Marking />} />
            <Route path="goals" element={<Goals />} />
            <Route path="groups" element={<Groups />} />
            <Route path="history" element={<History />} />
          </Route>
          {session.lead && <Route path="/school/*" element={<School session={session} />} />}
          <Route path="*" element={<Navigate to={home ? `/class/${home.id}` : '/school'} replace />} />
        </Routes>
      </Suspense>
      <Toaster position="bottom-left" toastOptions={{ className: 'said' }} closeButton />
    </>
  );
}
