import { useState, type FormEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { signOut, useSignInBy, type Session } from '../../shared/session';
import { t } from '../../shared/words';
import { Sessions } from './Sessions';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Menu, MenuItem } from '../../ui/Menu';
import { Form } from '../../ui/Page';
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

function PasswordDialog({ close }: { close: () => void }) {
  const [old, setOld] = useState('');
  const [next, setNext] = useState('');
  const [error, setError] = useState<unknown>();
  const signInBy = useSignInBy();
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await signInBy(() => ok(api.PUT('/me/password', { body: { old, new: next } })));
      toast.success(t('Password changed. All other devices are signed out.'));
      close();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Dialog title={t('Change password')} close={close}>
      <Form onSubmit={(e) => void save(e)}>
        <PasswordField
          label={t('Current password')}
          error={fieldOf(error, 'old')}
          autoFocus
          autoComplete="current-password"
          value={old}
          set={setOld}
        />
        <PasswordField
          label={t('New password')}
          hint={t('Use 10 to 200 characters. A few words work well.')}
          error={fieldOf(error, 'new')}
          autoComplete="new-password"
          value={next}
          set={setNext}
        />
        {error && !fieldOf(error, 'old') && !fieldOf(error, 'new') ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit">
            {t('Change password')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
