import { useEffect, useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { api, fieldOf, ok, Problem, sentence } from '../shared/api';
import { t } from '../shared/words';
import { Mark } from '../teacher/frame/Mark';
import { Field } from '../teacher/frame/Window';
import '../teacher/teacher.css';

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
      setDone((await ok(api.POST('/guardian/register', { body: form }))).sentence);
    } catch (problem) {
      setError(problem);
    }
  };
  const field = (key: keyof typeof form, label: string, type = 'text', hint?: string) => (
    <Field id={key} label={label} hint={hint} error={fieldOf(error, key)}>
      <input
        id={key}
        type={type}
        autoComplete={key === 'password' ? 'new-password' : key === 'mail' ? 'email' : 'off'}
        value={form[key]}
        onChange={(e) => setForm({ ...form, [key]: e.target.value })}
      />
    </Field>
  );
  return (
    <Door title={t('Follow your child’s reading')}>
      {done ? (
        <>
          <p role="status">{done}</p>
          <p className="row end">
            <Link className="btn main" to="/">
              {t('Sign in')}
            </Link>
          </p>
        </>
      ) : (
        <form onSubmit={(e) => void submit(e)} noValidate>
          {field('code', t('Code from the letter'))}
          {field('name', t('Your name'))}
          {field('mail', t('Your e-mail address'), 'email')}
          {field(
            'password',
            t('A password of your own'),
            'password',
            t('Use 10 to 200 characters; a few words are best.'),
          )}
          {error && !(error instanceof Problem && Object.keys(error.fields).length > 0) ? (
            <p className="error" role="alert">
              {sentence(error)}
            </p>
          ) : null}
          <p className="row end">
            <button className="btn main">{t('Register')}</button>
          </p>
        </form>
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
    <Door title={t('Your address')}>
      {state.ok ? (
        <p role="status">{t('Confirmed. You can sign in with your address and password.')}</p>
      ) : state.error ? (
        <p className="error" role="alert">
          {state.error}
        </p>
      ) : (
        <p role="status">…</p>
      )}
      <p className="row end">
        <Link className="btn main" to="/">
          {t('Sign in')}
        </Link>
      </p>
    </Door>
  );
}

export function Door({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <main className="door">
      <section className="doorcard" aria-labelledby="door">
        <p className="mark">
          <Mark />
          Deep Current
        </p>
        <h1 id="door">{title}</h1>
        {children}
      </section>
    </main>
  );
}
