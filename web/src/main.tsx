import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import './shared/pieces.css';
import './shared/views.css';
import { Problem } from './shared/api';
import { useSession } from './shared/session';
import { Show, Loading } from './shared/Whole';
import './shared/words';

const Teacher = lazy(() => import('./teacher/Teacher'));
const Reader = lazy(() => import('./reader/Reader'));
const AdultSignIn = lazy(() => import('./teacher/AdultSignIn'));
const FirstRun = lazy(() => import('./teacher/FirstRun'));
const ReaderSignIn = lazy(() => import('./reader/ReaderSignIn'));
const Guardian = lazy(() => import('./guardian/Guardian'));
const Register = lazy(() => import('./guardian/Register'));
const Confirm = lazy(() => import('./guardian/Register').then((m) => ({ default: m.Confirm })));
const Welcome = lazy(() => import('./guardian/Welcome'));

const client = new QueryClient({
  defaultOptions: { queries: { staleTime: 5_000, retry: (n, e) => n < 3 && !(e instanceof Problem && e.status < 500), retryDelay: 1500 } },
});

function Doors() {
  const session = useSession();
  return (
    <Show query={session}>
      {(s) => (
        <Suspense fallback={<Loading />}>
          {s.firstRun ? (
            <Routes><Route path="*" element={<FirstRun />} /></Routes>
          ) : s.role === 'teacher' ? (
            <Routes>
              <Route path="/read/:code?" element={<ReaderSignIn />} />
              <Route path="/welcome" element={<Welcome />} />
              <Route path="*" element={<Teacher session={s} />} />
            </Routes>
          ) : s.role === 'reader' ? (
            <Routes><Route path="*" element={<Reader session={s} />} /></Routes>
          ) : s.role === 'guardian' ? (
            <Routes><Route path="*" element={<Guardian session={s} />} /></Routes>
          ) : (
            <Routes>
              <Route path="/read" element={<ReaderSignIn />} />
              <Route path="/read/:code" element={<ReaderSignIn />} />
              <Route path="/welcome" element={<Welcome />} />
              <Route path="/guardian" element={<Register />} />
              <Route path="/guardian/confirm" element={<Confirm />} />
              <Route path="/" element={s.handedOver ? <Navigate to={`/read/${s.handedOver.code}`} replace /> : <AdultSignIn />} />
              <Route path="/staff" element={<AdultSignIn />} />
              <Route path="*" element={<Navigate to="/" replace />} />
            </Routes>
          )}
        </Suspense>
      )}
    </Show>
  );
}

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <BrowserRouter><Doors /></BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
