import './english';
import { useNavigate } from 'react-router';
import { z } from 'zod';
import { api, ok } from '../shared/api';
import { line, present, useFields } from '../shared/forms';
import { useSignInBy } from '../shared/session';
import { phrase, t } from '../shared/words';
import { DateField } from '../ui/DateField';
import { FieldRow } from '../ui/Field';
import { Form, FormFault, Submit } from '../ui/Form';
import { Door } from '../ui/Frame';
import { Row } from '../ui/Page';
import { PasswordField, TextField } from '../ui/TextField';

const schema = z
  .object({
    schoolName: line(120, phrase('Enter a name of 120 letters or fewer.')),
    timeZone: present(phrase('Enter a time zone, such as Europe/London.')),
    name: line(120, phrase('Enter a name of 120 letters or fewer.')),
    userName: present(phrase('Enter a user name.')),
    password: z.string().min(1, { error: () => t('Enter a password.') }),
    yearFirstDay: present(phrase('Enter a day.')),
    yearLastDay: present(phrase('Enter a day.')),
  })
  .refine((school) => school.yearFirstDay < school.yearLastDay, {
    path: ['yearLastDay'],
    error: () => t('The school year ends before it starts.'),
  });

const iso = (d: Date) => d.toLocaleDateString('sv');

/** The school year of a day, from August to July. */
function yearOf(today: Date) {
  const start = new Date(Date.UTC(today.getMonth() >= 7 ? today.getFullYear() : today.getFullYear() - 1, 8, 1));
  return {
    yearFirstDay: iso(start),
    yearLastDay: iso(new Date(Date.UTC(start.getUTCFullYear() + 1, 6, 10))),
  };
}

/** The first page of a new installation: the school, its year and its first teacher. */
export default function FirstRun() {
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const form = useFields({
    schema,
    start: {
      schoolName: '',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      name: '',
      userName: '',
      password: '',
      ...yearOf(new Date()),
    },
    send: async (typed) => {
      await signInBy(() => ok(api.POST('/first-run', { body: typed })));
      await navigate('/');
    },
  });
  return (
    <Door title={t('A new school')}>
      <p>{t('Name the school and yourself. Then create your first class.')}</p>
      <Form of={form}>
        <TextField label={t('School name')} autoComplete="off" {...form.field('schoolName')} />
        <FieldRow>
          <DateField label={t('School year starts')} {...form.field('yearFirstDay')} />
          <DateField label={t('School year ends')} {...form.field('yearLastDay')} />
        </FieldRow>
        <TextField label={t('Time zone')} autoComplete="off" {...form.field('timeZone')} />
        <TextField label={t('Your name')} autoComplete="name" {...form.field('name')} />
        <TextField label={t('User name for signing in')} autoComplete="username" {...form.field('userName')} />
        <PasswordField
          label={t('Password')}
          hint={t('Use at least 10 characters. A few words work well.')}
          autoComplete="new-password"
          {...form.field('password')}
        />
        <FormFault of={form} />
        <Row end>
          <Submit of={form}>{t('Create school')}</Submit>
        </Row>
      </Form>
    </Door>
  );
}
