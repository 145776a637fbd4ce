import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { z } from 'zod';
import { type Api, api, ok, sentence } from '../shared/api';
import { present, useFields } from '../shared/forms';
import { keys } from '../shared/keys';
import { useSignInBy } from '../shared/session';
import { phrase, say, t } from '../shared/words';
import { Button } from '../ui/Button';
import { ErrorText } from '../ui/Field';
import { Door } from '../ui/Frame';
import { Form, FormFault, Submit } from '../ui/Form';
import { Row } from '../ui/Page';
import { PasswordField, TextField } from '../ui/TextField';

/** The first sign-in of somebody who was invited, or a new password. */
export default function Welcome() {
  const [token, setToken] = useState(location.hash.slice(1));
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
        <CodeForm set={setToken} />
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

const codeSchema = z.object({ code: present(phrase('Enter the code.')) });

function CodeForm({ set }: { set: (token: string) => void }) {
  const form = useFields({
    schema: codeSchema,
    start: { code: '' },
    send: (typed) => Promise.resolve(set(typed.code)),
  });
  return (
    <Form of={form}>
      <TextField label={t('Code from your sheet')} autoComplete="off" {...form.field('code')} />
      <Row end>
        <Button asChild look="plain">
          <Link to="/">{t('Sign in with a password')}</Link>
        </Button>
        <Submit of={form}>{t('Continue')}</Submit>
      </Row>
    </Form>
  );
}

const schema = z.object({
  userName: present(phrase('Enter a user name.')),
  password: z.string().min(1, { error: () => t('Enter a password.') }),
});

function Choose({ token, pass }: { token: string; pass: Api<'PassView'> }) {
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const form = useFields({
    schema,
    start: { userName: pass.userName, password: '' },
    send: async (typed) => {
      await signInBy(() => ok(api.POST('/pass', { body: { token, ...typed } })));
      await navigate('/');
    },
  });
  return (
    <Door title={pass.purpose === 'Reset' ? t('New password') : t('Welcome, {{name}}', { name: pass.name })}>
      <Form of={form}>
        <TextField
          label={t('User name for signing in')}
          autoComplete="username"
          disabled={pass.purpose === 'Reset'}
          {...form.field('userName')}
        />
        <PasswordField
          label={t('Choose a password')}
          hint={say(pass.rules)}
          autoFocus
          autoComplete="new-password"
          {...form.field('password')}
        />
        <FormFault of={form} />
        <Row end>
          <Submit of={form}>{t('Sign in')}</Submit>
        </Row>
      </Form>
    </Door>
  );
}
