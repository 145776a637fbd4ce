import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import './ui/base.css';
import { Problem } from './shared/api';
import { useSession } from './shared/session';
import { doorBack } from './shared/comingBack';
import { InLanguage } from './shared/InLanguage';
import { SignedOut } from './shared/SignedOut';
import { Broken, part } from './shared/part';
import { sure } from './shared/sure';
import { Show } from './ui/Show';

const Teacher = part(() => import('./teacher/Teacher'));
const Reader = part(() => import('./reader/Reader'));
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

function Doors() {
  const session = useSession();
  return (
    <Show query={session}>
      {(s) => (
        <InLanguage session={s}>
          <SignedOut session={s} />
          {s.firstRun ? (
            <Routes>
              <Route path="*" element={<FirstRun />} />
            </Routes>
          ) : s.role === 'Teacher' ? (
            <Routes>
              <Route path="/read/:code?" element={<ReaderSignIn />} />
              <Route path="/welcome" element={<Welcome />} />
              <Route path="*" element={<Teacher session={s} />} />
            </Routes>
          ) : s.role === 'Reader' ? (
            <Routes>
              <Route path="*" element={<Reader session={s} />} />
            </Routes>
          ) : s.role === 'Guardian' ? (
            <Routes>
              <Route path="*" element={<Guardian session={s} />} />
            </Routes>
          ) : (
            <Routes>
              <Route path="/read" element={<ReaderSignIn />} />
              <Route path="/read/:code" element={<ReaderSignIn />} />
              <Route path="/welcome" element={<Welcome />} />
              <Route path="/guardian" element={<Register />} />
              <Route path="/guardian/confirm" element={<Confirm />} />
              <Route
                path="/"
                element={
                  doorBack() ? (
                    <Navigate to={sure(doorBack())} replace />
                  ) : s.handedOver ? (
                    <Navigate to={`/read/${s.handedOver.code}`} replace />
                  ) : (
                    <AdultSignIn />
                  )
                }
              />
              <Route path="/staff" element={<AdultSignIn />} />
              <Route path="*" element={<Navigate to={doorBack() ?? '/'} replace />} />
            </Routes>
          )}
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
