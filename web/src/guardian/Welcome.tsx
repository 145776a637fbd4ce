import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { type Api, api, fieldOf, ok, sentence, namesFields } from '../shared/api';
import { keys } from '../shared/keys';
import { useSignInBy } from '../shared/session';
import { say, t } from '../shared/words';
import { Button } from '../ui/Button';
import { ErrorText } from '../ui/Field';
import { Door } from '../ui/Frame';
import { Form, Row } from '../ui/Page';
import { PasswordField, TextField } from '../ui/TextField';

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
      <Door title={t('Set up your account')}>
        {pass.error ? <ErrorText>{sentence(pass.error)}</ErrorText> : null}
        <Form
          onSubmit={(e) => {
            e.preventDefault();
            setToken(typed.trim());
          }}
        >
          <TextField label={t('Code from your sheet')} autoComplete="off" value={typed} set={setTyped} />
          <Row end>
            <Button asChild look="plain">
              <Link to="/">{t('Sign in with a password')}</Link>
            </Button>
            <Button look="main" type="submit">
              {t('Continue')}
            </Button>
          </Row>
        </Form>
      </Door>
    );
  return pass.data ? (
    <Choose token={token} pass={pass.data} />
  ) : (
    <Door title={t('Set up your account')}>
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
    <Door title={pass.purpose === 'Reset' ? t('New password') : t('Welcome, {{name}}', { name: pass.name })}>
      <Form onSubmit={(e) => void submit(e)}>
        <TextField
          label={t('User name for signing in')}
          error={fieldOf(error, 'userName')}
          autoComplete="username"
          disabled={pass.purpose === 'Reset'}
          value={userName}
          set={setUserName}
        />
        <PasswordField
          label={t('Choose a password')}
          hint={say(pass.rules)}
          error={fieldOf(error, 'password')}
          autoFocus
          autoComplete="new-password"
          value={password}
          set={setPassword}
        />
        {error && !namesFields(error) ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <Row end>
          <Button look="main" type="submit">
            {t('Sign in')}
          </Button>
        </Row>
      </Form>
    </Door>
  );
}
