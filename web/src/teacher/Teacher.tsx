import './english';
import { useEffect } from 'react';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import type { Session } from '../shared/session';
import { fetchWhenIdle, part } from '../shared/part';
import { t } from '../shared/words';
import { Frame } from './frame/Frame';
import { PersonMenu } from './frame/PersonMenu';
import { Empty } from '../ui/Show';
import { Toasts } from '../ui/Toasts';

const NewClass = part<{ session: Session }>(() => import('./frame/NewClass').then((m) => ({ default: m.NewClass })));
const Chart = part(() => import('./chart/Chart'));
const Readers = part(() => import('./readers/Readers'));
const RosterPage = part(() => import('./readers/roster/RosterPage'));
const Many = part(() => import('./readers/many/Many'));
const Lists = part(() => import('./readers/roster/Lists'));
const Guardians = part(() => import('./readers/roster/Guardians'));
const ClassPage = part(() => import('./readers/roster/ClassPage'));
const Profile = part(() => import('./readers/Profile'));
const Texts = part(() => import('./texts/Texts'));
const TextPage = part(() => import('./texts/TextPage'));
const Copies = part(() => import('./texts/copies/Copies'));
const Plans = part(() => import('./assignments/plans/Plans'));
const PickForStream = part(() => import('./assignments/stream/PickForStream'));
const MyClasses = part(() => import('./assignments/classes/MyClasses'));
const WordLists = part(() => import('./texts/WordLists'));
const Bring = part(() => import('./texts/Bring'));
const QuizEditor = part(() => import('./texts/quiz/QuizEditor'));
const Marking = part(() => import('./marking/Marking'));
const TextEditor = part(() => import('./texts/editor/TextEditor'));
const Assignments = part(() => import('./assignments/Assignments'));
const Week = part(() => import('./assignments/week/Week'));
const WhoIsWhere = part(() => import('./assignments/where/WhoIsWhere'));
const Checks = part(() => import('./checks/Checks'));
const CheckEditor = part(() => import('./checks/CheckEditor'));
const CheckPage = part(() => import('./checks/CheckPage'));
const Assignment = part(() => import('./assignments/Assignment'));
const Results = part(() => import('./assignmentResults/Results'));
const Meetings = part(() => import('./meetings/Meetings'));
const Meeting = part(() => import('./meetings/Meeting'));
const Signals = part(() => import('./signals/Signals'));
const Reports = part(() => import('./reports/Reports'));
const AsReader = part(() => import('./assignments/AsReader'));
const GoThrough = part(() => import('./feedback/GoThrough'));
const Ticket = part(() => import('./assignments/Ticket'));
const RecordPage = part(() => import('./oral/RecordPage'));
const Goals = part(() => import('./goals/Goals'));
const Groups = part(() => import('./groups/Groups'));
const School = part(() => import('./school/School'));
const History = part(() => import('./frame/History'));

/** Where teachers go to and fro. */
const often = [Week, WhoIsWhere, Readers, Texts, Marking, Goals, Groups, Reports, Assignments, Plans];

const lastClass = 'dc-class';

/** The teacher's side: one class at a time, its places, the tray. */
export default function Teacher({ session }: { session: Session }) {
  const { pathname } = useLocation();
  const here = pathname.match(/^\/class\/([^/]+)/)?.[1];
  useEffect(() => {
    if (here) localStorage.setItem(lastClass, here);
  }, [here]);
  useEffect(() => fetchWhenIdle(often), []);
  const open = session.classes.filter((c) => !c.closed);
  if (session.classes.length === 0 && session.assistant)
    return (
      <main className="bg-depth-2 grid min-h-screen place-items-center">
        <Empty title={t('No classes yet')}>
          <p>{t('A class appears here when its teacher adds you.')}</p>
          <PersonMenu session={session} />
        </Empty>
      </main>
    );
  if (session.classes.length === 0 && !session.lead)
    return (
      <>
        <NewClass session={session} />
        <Toasts />
      </>
    );
  const kept = localStorage.getItem(lastClass);
  const home = session.classes.find((c) => c.id === kept) ?? open[0] ?? session.classes[0];
  return (
    <>
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
          <Route path="texts/word-lists" element={<WordLists />} />
          <Route path="texts/bring" element={<Bring />} />
          <Route path="texts/:textId" element={<TextPage />} />
          <Route path="texts/:textId/change" element={<TextEditor />} />
          <Route path="assignments" element={<Week />} />
          <Route path="assignments/where" element={<WhoIsWhere />} />
          <Route path="assignments/all" element={<Assignments />} />
          <Route path="assignments/classes" element={<MyClasses />} />
          <Route path="assignments/plans" element={<Plans />} />
          <Route path="assignments/checks" element={<Checks />} />
          <Route path="assignments/checks/new" element={<CheckEditor />} />
          <Route path="assignments/checks/:checkId" element={<CheckPage />} />
          <Route path="assignments/checks/:checkId/change" element={<CheckEditor />} />
          <Route path="assignments/:assignmentId" element={<Assignment />} />
          <Route path="assignments/:assignmentId/results" element={<Results />} />
          <Route path="tickets/:ticketId" element={<Ticket />} />
          <Route path="tickets/:ticketId/missed" element={<GoThrough />} />
          <Route path="as/:readerId" element={<AsReader />} />
          <Route path="as/:readerId/:ticketId" element={<AsReader />} />
          <Route path="texts/:textId/quiz" element={<QuizEditor />} />
          <Route path="marking" element={<Marking />} />
          <Route path="goals" element={<Goals />} />
          <Route path="groups" element={<Groups />} />
          <Route path="groups/meetings" element={<Meetings />} />
          <Route path="groups/meetings/:meetingId" element={<Meeting />} />
          <Route path="reports/:view?" element={<Reports />} />
          <Route path="signals" element={<Signals />} />
          <Route path="history" element={<History />} />
        </Route>
        <Route path="/pick" element={<PickForStream />} />
        {session.lead && <Route path="/school/*" element={<School session={session} />} />}
        <Route path="*" element={<Navigate to={home ? `/class/${home.id}` : '/school'} replace />} />
      </Routes>
      <Toasts />
    </>
  );
}
