import { useQuery, useQueryClient } from '@tanstack/react-query';
import { call, get, setToken, type Api } from './api';

export type Session = Api<'SessionView'>;

export const useSession = () => useQuery({
  queryKey: ['session'],
  staleTime: Infinity,
  queryFn: async () => {
    const session = await get<Session>('/session');
    setToken(session.token);
    return session;
  },
});

/** Signs in or out by the given call, then starts afresh: nothing of the person before may stay in the page. */
export function useSignInBy() {
  const client = useQueryClient();
  return async (doIt: () => Promise<unknown>) => {
    await doIt();
    const session = await get<Session>('/session');
    setToken(session.token);
    client.removeQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
    client.setQueryData(['session'], session);
    return session;
  };
}

export const signOut = () => call('DELETE', '/session');
