import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import './ui/base.css';
import { Problem } from './shared/api';
import { useSession, type Session } from './shared/session';
import { ReaderSide } from './reader/side';
import { doorBack, keepLink } from './shared/comingBack';
import { InLanguage } from './shared/InLanguage';
import { SignedOut } from './shared/SignedOut';
import { Broken, part } from './shared/part';
import { sure } from './shared/sure';
import { Show } from './ui/Show';

const Teacher = part(() => import('./teacher/Teacher'));
const AdultSignIn = part(() => import('./teacher/AdultSignIn'));
const FirstRun = part(() => import('./teacher/FirstRun'));
const ReaderSignIn = part(() => import('./reader/signin/ReaderSignIn'));
const Guardian = part(() => import('./guardian/Guardian'));
const Register = part(() => import('./guardian/Register'));
const Confirm = part(async () => ({ default: (await import('./guardian/Register')).Confirm }));
const Welcome = part(() => import('./guardian/Welcome'));

// Every piece of the kit, to look at while building.
const Kit = import.meta.env.DEV ? part(() => import('./kit/Kit')) : null;

const client = new QueryClient({
  // Without a network a question is asked all the same: what was kept on the device answers it, or a sentence does.
  defaultOptions: {
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 5_000,
      retry: (n, e) => n < 3 && !(e instanceof Problem && e.status < 500),
      retryDelay: 1500,
    },
  },
});

/** The front door: back to where somebody was, to the class a device was handed to, or to signing in. */
function Door({ session }: { session: Session }) {
  const back = doorBack();
  if (back) return <Navigate to={back} replace />;
  return session.handedOver ? <Navigate to={`/read/${session.handedOver.code}`} replace /> : <AdultSignIn />;
}

/** A link to a task: its reader signs in first. */
function ToTask() {
  keepLink(location.pathname);
  return <Navigate to={doorBack() ?? '/read'} replace />;
}

/** Where whoever is signed in can go. */
function routesOf(s: Session) {
  if (s.firstRun) return <Route path="*" element={<FirstRun />} />;
  if (s.role === 'Reader') return <Route path="*" element={<ReaderSide session={s} />} />;
  if (s.role === 'Guardian') return <Route path="*" element={<Guardian session={s} />} />;
  if (s.role === 'Teacher')
    return (
      <>
        <Route path="/read/:code?" element={<ReaderSignIn />} />
        <Route path="/welcome" element={<Welcome />} />
        <Route path="*" element={<Teacher session={s} />} />
      </>
    );
  return (
    <>
      <Route path="/read" element={<ReaderSignIn />} />
      <Route path="/read/:code" element={<ReaderSignIn />} />
      <Route path="/welcome" element={<Welcome />} />
      <Route path="/guardian" element={<Register />} />
      <Route path="/guardian/confirm" element={<Confirm />} />
      <Route path="/task/:assignmentId" element={<ToTask />} />
      <Route path="/pick" element={<AdultSignIn />} />
      <Route path="/" element={<Door session={s} />} />
      <Route path="/staff" element={<AdultSignIn />} />
      <Route path="*" element={<Navigate to={doorBack() ?? '/'} replace />} />
    </>
  );
}

function Doors() {
  const session = useSession();
  return (
    <Show query={session}>
      {(s) => (
        <InLanguage session={s}>
          <SignedOut session={s} />
          <Routes>{routesOf(s)}</Routes>
        </InLanguage>
      )}
    </Show>
  );
}

createRoot(sure(document.getElementById('root'))).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <ErrorBoundary FallbackComponent={Broken}>
          {Kit && location.pathname === '/kit' ? <Kit /> : <Doors />}
        </ErrorBoundary>
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
