import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { type Api, api, fieldOf, ok, Problem, sentence } from '../shared/api';
import { keys } from '../shared/keys';
import { useSignInBy } from '../shared/session';
import { t } from '../shared/words';
import { Field } from '../teacher/frame/Window';
import { Door } from './Register';

/** The first sign-in of somebody who was invited, or a new password. */
export default function Welcome() {
  const [token, setToken] = useState(location.hash.slice(1));
  const [typed, setTyped] = useState('');
  const pass = useQuery({
    queryKey: keys.pass(token),
    enabled: token !== '',
    retry: false,
    queryFn: () => ok(api.POST('/pass/look', { body: { token } })),
  });
  if (token === '' || pass.error)
    return (
      <Door title={t('Your way in')}>
        {pass.error ? (
          <p className="error" role="alert">
            {sentence(pass.error)}
          </p>
        ) : null}
        <form
          onSubmit={(e) => {
            e.preventDefault();
            setToken(typed.trim());
          }}
        >
          <Field id="token" label={t('Code from your sheet')}>
            <input id="token" type="text" autoComplete="off" value={typed} onChange={(e) => setTyped(e.target.value)} />
          </Field>
          <p className="row end">
            <Link className="btn plain" to="/">
              {t('I have a password')}
            </Link>
            <button className="btn main">{t('Go on')}</button>
          </p>
        </form>
      </Door>
    );
  return pass.data ? (
    <Choose token={token} pass={pass.data} />
  ) : (
    <Door title={t('Your way in')}>
      <p role="status">…</p>
    </Door>
  );
}

function Choose({ token, pass }: { token: string; pass: Api<'PassView'> }) {
  const [userName, setUserName] = useState(pass.userName);
  const [password, setPassword] = useState('');
  const [error, setError] = useState<unknown>();
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await signInBy(() => ok(api.POST('/pass', { body: { token, userName, password } })));
      await navigate('/');
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Door title={pass.purpose === 'Reset' ? t('A new password') : t('Welcome, {{name}}', { name: pass.name })}>
      <form onSubmit={(e) => void submit(e)} noValidate>
        <Field id="u" label={t('User name to sign in with')} error={fieldOf(error, 'userName')}>
          <input
            id="u"
            type="text"
            autoComplete="username"
            disabled={pass.purpose === 'Reset'}
            value={userName}
            onChange={(e) => setUserName(e.target.value)}
          />
        </Field>
        <Field id="p" label={t('A password of your own')} hint={pass.rules} error={fieldOf(error, 'password')}>
          <input
            id="p"
            type="password"
            autoFocus
            autoComplete="new-password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
          />
        </Field>
        {error && !(error instanceof Problem && Object.keys(error.fields).length > 0) ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <p className="row end">
          <button className="btn main">{t('Sign in')}</button>
        </p>
      </form>
    </Door>
  );
}
