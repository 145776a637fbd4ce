import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Api, api, ok, sentence } from '../../shared/api';
import { rememberCode } from '../../shared/comingBack';
import { keys } from '../../shared/keys';
import { useSignInBy } from '../../shared/session';
import { getKept } from '../offline/kept';
import { belongTo } from '../offline/store';

/** What the home shows first. */
const asks = {
  '/my/tickets': { queryKey: keys.my.tickets, ask: () => ok(api.GET('/my/tickets')) },
  '/my/home': { queryKey: keys.my.home, ask: () => ok(api.GET('/my/home')) },
  '/my/checks': { queryKey: keys.my.checks, ask: () => ok(api.GET('/my/checks')) },
};

/** Signs a reader in with a secret, or says what was wrong with it. */
export function useTry(code: string, who: Api<'Tile'>) {
  const [error, setError] = useState('');
  const client = useQueryClient();
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const attempt = async (secret: string) => {
    setError('');
    const first: (() => void)[] = [];
    try {
      const session = await signInBy(async () => {
        await ok(api.POST('/session/reader', { body: { code, readerId: who.id, secret } }));
        // Asked for together with who they are, and kept as theirs once that is known.
        for (const [path, { queryKey, ask }] of Object.entries(asks)) {
          const answer: Promise<unknown> = ask();
          answer.catch(() => undefined);
          first.push(() => void client.prefetchQuery({ queryKey, queryFn: () => getKept(path, () => answer) }));
        }
      });
      belongTo(session.id ?? '');
      for (const begin of first) begin();
      rememberCode(code);
      await navigate('/');
      return true;
    } catch (problem) {
      setError(sentence(problem));
      return false;
    }
  };
  return { error, attempt };
}
