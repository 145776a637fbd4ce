import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import { api, ok, sentence } from '../shared/api';
import { line, present, useFields } from '../shared/forms';
import { phrase, say, t } from '../shared/words';
import { Button } from '../ui/Button';
import { ErrorText } from '../ui/Field';
import { Door } from '../ui/Frame';
import { Form, FormFault, Submit } from '../ui/Form';
import { Row } from '../ui/Page';
import { PasswordField, TextField } from '../ui/TextField';

const schema = z.object({
  code: present(phrase('Enter the code.')),
  name: line(80, phrase('Enter a name of 80 letters or fewer.')),
  mail: present(phrase('Enter an email address: name@school.org')),
  password: z.string().min(1, { error: () => t('Enter a password.') }),
});

/** Registering with the code of a letter. */
export default function Register() {
  const [done, setDone] = useState('');
  const form = useFields({
    schema,
    start: { code: decodeURIComponent(location.hash.slice(1)), name: '', mail: '', password: '' },
    send: async (typed) => {
      setDone(say((await ok(api.POST('/guardian/register', { body: typed }))).sentence));
    },
  });
  return (
    <Door title={t('Follow your child’s reading')}>
      {done ? (
        <>
          <p role="status">{done}</p>
          <Row end>
            <Button asChild look="main">
              <Link to="/">{t('Sign in')}</Link>
            </Button>
          </Row>
        </>
      ) : (
        <Form of={form}>
          <TextField label={t('Code from the letter')} autoComplete="off" {...form.field('code')} />
          <TextField label={t('Your name')} autoComplete="name" {...form.field('name')} />
          <TextField label={t('Your email address')} type="email" autoComplete="email" {...form.field('mail')} />
          <PasswordField
            label={t('Choose a password')}
            hint={t('Use 10 to 200 characters. A few words work well.')}
            autoComplete="new-password"
            {...form.field('password')}
          />
          <FormFault of={form} />
          <Row end>
            <Submit of={form}>{t('Register')}</Submit>
          </Row>
        </Form>
      )}
    </Door>
  );
}

/** The link in the mail. */
export function Confirm() {
  const [state, setState] = useState<{ ok?: boolean; error?: string }>({});
  useEffect(() => {
    void ok(api.POST('/guardian/confirm', { body: { token: location.hash.slice(1) } })).then(
      () => setState({ ok: true }),
      (e: unknown) => setState({ error: sentence(e) }),
    );
  }, []);
  return (
    <Door title={t('Email')}>
      {state.error ? (
        <ErrorText>{state.error}</ErrorText>
      ) : (
        <p role="status">{state.ok ? t('Email confirmed. Sign in with your email and password.') : '…'}</p>
      )}
      <Row end>
        <Button asChild look="main">
          <Link to="/">{t('Sign in')}</Link>
        </Button>
      </Row>
    </Door>
  );
}
