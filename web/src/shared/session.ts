import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { type Api, api, NoNetwork, ok, setToken } from './api';
import { lastReader } from './deviceKeys';
import { keys } from './keys';
import { forgetLanguage } from './language';

export type Session = Api<'SessionView'>;

// A reader's page opens without a network as theirs for as long as a session lasts.
const toEnd = 'dc-to-end',
  lasts = 12 * 3600_000;

function remember(session: Session) {
  if (session.role === 'Reader')
    localStorage.setItem(lastReader, JSON.stringify({ at: Date.now(), session: { ...session, token: '' } }));
  else localStorage.removeItem(lastReader);
}

function remembered(): Session | null {
  try {
    const kept = JSON.parse(localStorage.getItem(lastReader) ?? 'null') as { at: number; session: Session } | null;
    return kept && Date.now() - kept.at < lasts ? kept.session : null;
  } catch {
    return null;
  }
}

/** Who is signed in here by now, with a token for them. */
export async function fetchSession(): Promise<Session> {
  const session = await ok(api.GET('/session'));
  setToken(session.id, session.token);
  // Somebody signed out while there was no network: the server hears of it now, before anybody else uses the device.
  if (session.id && session.id === localStorage.getItem(toEnd)) {
    await ok(api.DELETE('/session'));
    localStorage.removeItem(toEnd);
    return fetchSession();
  }
  localStorage.removeItem(toEnd);
  remember(session);
  return session;
}

export const useSession = () =>
  useQuery({
    queryKey: keys.session,
    staleTime: Infinity,
    queryFn: async () => {
      try {
        return await fetchSession();
      } catch (e) {
        const before = e instanceof NoNetwork ? remembered() : null;
        if (!before) throw e;
        return before;
      }
    },
  });

/** Starts afresh as somebody: nothing of the person before may stay in the page. */
export function beginAs(client: QueryClient, session: Session) {
  client.removeQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
  client.setQueryData<Session>(keys.session, session);
  return session;
}

/** Who is left when a reader has gone and the server cannot be asked. */
export const nobodyAfter = (session: Session): Session => ({
  ...session,
  id: null,
  role: 'Nobody',
  name: '',
  token: '',
  supports: null,
  language: null,
});

/** Signs in or out by the given call, then starts afresh. */
export function useSignInBy() {
  const client = useQueryClient();
  return async (doIt: () => Promise<unknown>) => {
    await doIt();
    return beginAs(client, await fetchSession());
  };
}

export const signOut = () => ok(api.DELETE('/session'));

/** Leaves a shared device. Without a network the page forgets the reader now, and the server hears of it later. */
export function useLeave() {
  const client = useQueryClient();
  return async (session: Session) => {
    localStorage.removeItem(lastReader);
    forgetLanguage();
    try {
      await signOut();
    } catch (e) {
      if (!(e instanceof NoNetwork)) throw e;
      localStorage.setItem(toEnd, session.id ?? '');
      return beginAs(client, nobodyAfter(session));
    }
    return beginAs(client, await fetchSession());
  };
}
