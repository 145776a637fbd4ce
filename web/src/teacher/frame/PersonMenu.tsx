import { DropdownMenu } from 'radix-ui';
import { useState, type FormEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { signOut, useSignInBy, type Session } from '../../shared/session';
import { t } from '../../shared/words';
import { Menu } from './Menu';
import { Sessions } from './Sessions';
import { Field, Window } from './Window';

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
      <Menu plain label={session.name} hidden={t('You: ')}>
        {children}
        {session.lead && (
          <DropdownMenu.Item className="item" onSelect={() => void navigate('/school')}>
            {t('The school')}
          </DropdownMenu.Item>
        )}
        <DropdownMenu.Item className="item" onSelect={() => setPassword(true)}>
          {t('Change my password…')}
        </DropdownMenu.Item>
        <DropdownMenu.Item className="item" onSelect={() => setSessions(true)}>
          {t('Where I am signed in…')}
        </DropdownMenu.Item>
        <DropdownMenu.Item className="item" onSelect={() => leave(() => ok(api.POST('/me/sign-out')))}>
          {t('Sign out everywhere')}
        </DropdownMenu.Item>
        <DropdownMenu.Item className="item" onSelect={() => leave(signOut)}>
          {t('Sign out')}
        </DropdownMenu.Item>
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
      toast.success(t('Your password is changed. Every other device is signed out.'));
      close();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Window title={t('Change my password')} close={close}>
      <form onSubmit={(e) => void save(e)} noValidate>
        <Field id="old" label={t('Password now')} error={fieldOf(error, 'old')}>
          <input
            id="old"
            type="password"
            autoFocus
            autoComplete="current-password"
            value={old}
            onChange={(e) => setOld(e.target.value)}
          />
        </Field>
        <Field
          id="new"
          label={t('New password')}
          hint={t('Use 10 to 200 characters; a few words are best.')}
          error={fieldOf(error, 'new')}
        >
          <input
            id="new"
            type="password"
            autoComplete="new-password"
            value={next}
            onChange={(e) => setNext(e.target.value)}
          />
        </Field>
        {error && !fieldOf(error, 'old') && !fieldOf(error, 'new') ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main">{t('Change the password')}</button>
        </p>
      </form>
    </Window>
  );
}
