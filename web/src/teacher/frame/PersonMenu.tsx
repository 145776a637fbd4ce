import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { z } from 'zod';
import { api, ok, sentence } from '../../shared/api';
import { useFields } from '../../shared/forms';
import { signOut, useSignInBy, type Session } from '../../shared/session';
import { t } from '../../shared/words';
import { Sessions } from './Sessions';
import { Dialog } from '../../ui/Dialog';
import { Menu, MenuItem } from '../../ui/Menu';
import { Form, FormFoot } from '../../ui/Form';
import { PasswordField } from '../../ui/TextField';

/** Oneself: the school, one's password, signing out here and everywhere. */
export function PersonMenu({ session, children }: { session: Session; children?: ReactNode }) {
  const navigate = useNavigate();
  const signInBy = useSignInBy();
  const [password, setPassword] = useState(false);
  const [sessions, setSessions] = useState(false);
  const leave = (how: () => Promise<unknown>) =>
    void signInBy(how)
      .then(() => navigate('/'))
      .catch((e: unknown) => toast.error(sentence(e)));
  return (
    <>
      <Menu look="plain" align="start" label={session.name} hidden={t('You: ')}>
        {children}
        {session.lead && <MenuItem onSelect={() => void navigate('/school')}>{t('School')}</MenuItem>}
        <MenuItem onSelect={() => setPassword(true)}>{t('Change password…')}</MenuItem>
        <MenuItem onSelect={() => setSessions(true)}>{t('Where you are signed in…')}</MenuItem>
        <MenuItem onSelect={() => leave(() => ok(api.POST('/me/sign-out')))}>{t('Sign out everywhere')}</MenuItem>
        <MenuItem onSelect={() => leave(signOut)}>{t('Sign out')}</MenuItem>
      </Menu>
      {sessions && <Sessions close={() => setSessions(false)} />}
      {password && <PasswordDialog close={() => setPassword(false)} />}
    </>
  );
}

const schema = z.object({
  old: z.string().min(1, { error: () => t('Enter your password.') }),
  new: z.string().min(1, { error: () => t('Enter a password.') }),
});

function PasswordDialog({ close }: { close: () => void }) {
  const signInBy = useSignInBy();
  const form = useFields({
    schema,
    start: { old: '', new: '' },
    send: async (typed) => {
      await signInBy(() => ok(api.PUT('/me/password', { body: typed })));
      toast.success(t('Password changed. All other devices are signed out.'));
      close();
    },
  });
  return (
    <Dialog title={t('Change password')} close={close}>
      <Form of={form}>
        <PasswordField label={t('Current password')} autoFocus autoComplete="current-password" {...form.field('old')} />
        <PasswordField
          label={t('New password')}
          hint={t('Use 10 to 200 characters. A few words work well.')}
          autoComplete="new-password"
          {...form.field('new')}
        />
        <FormFoot of={form} close={close}>
          {t('Change password')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
