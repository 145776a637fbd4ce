import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Api, api, ok, sentence } from '../../shared/api';
import { rememberCode } from '../../shared/comingBack';
import { useSignInBy } from '../../shared/session';

/** Signs a reader in with a secret, or says what was wrong with it. */
export function useTry(code: string, who: Api<'Tile'>) {
  const [error, setError] = useState('');
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const attempt = async (secret: string) => {
    setError('');
    try {
      await signInBy(() => ok(api.POST('/session/reader', { body: { code, readerId: who.id, secret } })));
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
