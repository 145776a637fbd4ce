import type { ReactNode } from 'react';
import { z } from 'zod';
import { Button } from '../ui/Button';
import { Form, FormFault, Submit } from '../ui/Form';
import { Row } from '../ui/Page';
import { PasswordField, TextField } from '../ui/TextField';
import { present, useFields } from './forms';
import { phrase, t } from './words';

const schema = z.object({
  userName: present(phrase('Enter your user name.')),
  password: z.string().min(1, { error: () => t('Enter your password.') }),
});

export type SignIn = z.infer<typeof schema>;

/** What an adult signs in with. A password that was refused has to be typed anew. */
export function SignInForm({
  send,
  leave,
  children,
}: {
  send: (typed: SignIn) => Promise<void>;
  leave?: () => void;
  children?: ReactNode;
}) {
  const form = useFields({
    schema,
    start: { userName: '', password: '' },
    send: (typed) =>
      send(typed).catch((problem: unknown) => {
        form.set('password', '');
        throw problem;
      }),
  });
  return (
    <Form of={form}>
      {children}
      <TextField
        label={t('User name')}
        autoComplete="username"
        autoCapitalize="none"
        autoFocus
        {...form.field('userName')}
      />
      <PasswordField label={t('Password')} autoComplete="current-password" {...form.field('password')} />
      <FormFault of={form} />
      <Row end>
        {leave && <Button onClick={leave}>{t('Leave this page')}</Button>}
        <Submit of={form}>{t('Sign in')}</Submit>
      </Row>
    </Form>
  );
}
