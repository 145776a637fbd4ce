import { useEffect, useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { api, fieldOf, ok, sentence, namesFields } from '../shared/api';
import { say, t } from '../shared/words';
import { Button } from '../ui/Button';
import { ErrorText } from '../ui/Field';
import { Door } from '../ui/Frame';
import { Form, Row } from '../ui/Page';
import { TextField } from '../ui/TextField';

/** Registering with the code of a letter. */
export default function Register() {
  const [form, setForm] = useState({
    code: decodeURIComponent(location.hash.slice(1)),
    name: '',
    mail: '',
    password: '',
  });
  const [error, setError] = useState<unknown>();
  const [done, setDone] = useState('');
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      setDone(say((await ok(api.POST('/guardian/register', { body: form }))).sentence));
    } catch (problem) {
      setError(problem);
    }
  };
  const field = (key: keyof typeof form, label: string, type = 'text', hint?: string) => (
    <TextField
      type={type}
      label={label}
      hint={hint}
      error={fieldOf(error, key)}
      autoComplete={key === 'password' ? 'new-password' : key === 'mail' ? 'email' : 'off'}
      value={form[key]}
      set={(value) => setForm({ ...form, [key]: value })}
    />
  );
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
        <Form onSubmit={(e) => void submit(e)}>
          {field('code', t('Code from the letter'))}
          {field('name', t('Your name'))}
          {field('mail', t('Your email address'), 'email')}
          {field('password', t('Choose a password'), 'password', t('Use 10 to 200 characters. A few words work well.'))}
          {error && !namesFields(error) ? <ErrorText>{sentence(error)}</ErrorText> : null}
          <Row end>
            <Button look="main" type="submit">
              {t('Register')}
            </Button>
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
      {state.ok ? (
        <p role="status">{t('Email confirmed. Sign in with your email and password.')}</p>
      ) : state.error ? (
        <ErrorText>{state.error}</ErrorText>
      ) : (
        <p role="status">…</p>
      )}
      <Row end>
        <Button asChild look="main">
          <Link to="/">{t('Sign in')}</Link>
        </Button>
      </Row>
    </Door>
  );
}
