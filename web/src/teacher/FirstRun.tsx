import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, fieldOf, ok, sentence, namesFields } from '../shared/api';
import { useSignInBy } from '../shared/session';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { ErrorText, FieldRow } from '../ui/Field';
import { Door } from '../ui/Frame';
import { Form, Row } from '../ui/Page';
import { TextField } from '../ui/TextField';

const iso = (d: Date) => d.toLocaleDateString('sv');

/** The first page of a new installation: the school, its year and its first teacher. */
export default function FirstRun() {
  const today = new Date();
  const start = new Date(Date.UTC(today.getMonth() >= 7 ? today.getFullYear() : today.getFullYear() - 1, 8, 1));
  const [form, setForm] = useState({
    schoolName: '',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    name: '',
    userName: '',
    password: '',
    yearFirstDay: iso(start),
    yearLastDay: iso(new Date(Date.UTC(start.getUTCFullYear() + 1, 6, 10))),
  });
  const [error, setError] = useState<unknown>();
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await signInBy(() => ok(api.POST('/first-run', { body: form })));
      await navigate('/');
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
      value={form[key]}
      autoComplete={type === 'password' ? 'new-password' : 'off'}
      set={(value) => setForm({ ...form, [key]: value })}
    />
  );
  const other = error && !namesFields(error);
  return (
    <Door title={t('A new school')}>
      <p>{t('Name the school and yourself. Then create your first class.')}</p>
      <Form onSubmit={(e) => void submit(e)}>
        {field('schoolName', t('School name'))}
        <FieldRow>
          {field('yearFirstDay', t('School year starts'), 'date')}
          {field('yearLastDay', t('School year ends'), 'date')}
        </FieldRow>
        {field('timeZone', t('Time zone'))}
        {field('name', t('Your name'))}
        {field('userName', t('User name for signing in'))}
        {field('password', t('Password'), 'password', t('Use at least 10 characters. A few words work well.'))}
        {other ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <Row end>
          <Button look="main" type="submit">
            {t('Create school')}
          </Button>
        </Row>
      </Form>
    </Door>
  );
}
