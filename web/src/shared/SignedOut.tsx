import { useEffect, useSyncExternalStore } from 'react';
import { onSignedOut } from './api';
import { part } from './part';
import type { Session } from './session';

// Only who was signed out needs it, and then there may be no network: it is fetched when the page has come to rest.
const fetchIt = () => import('./SignInAgain');
const SignInAgain = part<{ session: Session; back: () => void }>(fetchIt);
const atRest = 20_000;

let lost = false;
const listeners = new Set<() => void>();
const setLost = (next: boolean) => {
  lost = next;
  listeners.forEach((l) => l());
};
onSignedOut(() => setLost(true));

/** Over the page when its session has ended: the page stays as it is beneath, and goes on once its person has signed in again. */
export function SignedOut({ session }: { session: Session }) {
  const open = useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    () => lost,
  );
  useEffect(() => setLost(false), [session.id, session.role]);
  useEffect(() => {
    const timer = setTimeout(() => void fetchIt().catch(() => undefined), atRest);
    return () => clearTimeout(timer);
  }, []);
  if (!open || session.role === 'Nobody') return null;
  return <SignInAgain session={session} back={() => setLost(false)} />;
}
