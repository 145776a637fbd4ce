import { cx } from 'class-variance-authority';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore, useState, type FormEvent } from 'react';
import { Dialog } from 'radix-ui';
import { api, ok, onSignedOut, sentence } from './api';
import { keys } from './keys';
import { beginAs, fetchSession, nobodyAfter, type Session } from './session';
import { t } from './words';
import { Button } from '../ui/Button';
import { ErrorText } from '../ui/Field';
import { Row } from '../ui/Page';
import { PasswordField, TextField } from '../ui/TextField';

let lost = false;
const listeners = new Set<() => void>();
const setLost = (next: boolean) => {
  lost = next;
  listeners.forEach((l) => l());
};
onSignedOut(() => setLost(true));

const returning = 'dc-return',
  lastCode = 'dc-code';
export const rememberCode = (code: string) => localStorage.setItem(lastCode, code);

/** Where a reader was when their session ended; asked for once, by the same reader. */
export function takeReturn(readerId: string): string | null {
  const kept = JSON.parse(sessionStorage.getItem(returning) ?? 'null') as { id: string; path: string } | null;
  sessionStorage.removeItem(returning);
  return kept?.id === readerId ? kept.path : null;
}

/** The door a reader comes back through whose session ended on this device; null where none did. */
export function doorBack(): string | null {
  if (!sessionStorage.getItem(returning)) return null;
  const code = localStorage.getItem(lastCode);
  return code ? `/read/${encodeURIComponent(code)}` : '/read';
}

/** Over the page when its session has ended: the page stays as it is beneath, and goes on once its person has signed in again. */
export function SignedOut({ session }: { session: Session }) {
  const open = useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    () => lost,
  );
  useEffect(() => setLost(false), [session.id, session.role]);
  if (!open || session.role === 'Nobody') return null;
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="bg-ink/35 fixed inset-0 z-20" />
        <Dialog.Content
          className={cx(
            'border-ink bg-paper shadow-lift fixed top-1/2 left-1/2 z-21 max-h-[calc(100vh-32px)]',
            'w-[min(480px,calc(100vw-32px))] -translate-1/2 overflow-auto rounded-md border px-5 pt-3.5',
            'pb-5',
          )}
          onEscapeKeyDown={(e) => e.preventDefault()}
          onPointerDownOutside={(e) => e.preventDefault()}
          aria-describedby={undefined}
        >
          {session.role === 'Reader' ? <ReaderAgain session={session} /> : <AdultAgain session={session} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function ReaderAgain({ session }: { session: Session }) {
  const client = useQueryClient();
  const go = async () => {
    sessionStorage.setItem(returning, JSON.stringify({ id: session.id, path: location.pathname }));
    beginAs(client, await fetchSession().catch(() => nobodyAfter(session)));
  };
  return (
    <div className="grid gap-3">
      <Dialog.Title>{t('Sign in again, {{name}}', { name: session.name })}</Dialog.Title>
      <p>{t('Your answers are safe.')}</p>
      <Row end>
        <Button look="main" size="reader" onClick={() => void go()}>
          {t('Sign in')}
        </Button>
      </Row>
    </div>
  );
}

function AdultAgain({ session }: { session: Session }) {
  const client = useQueryClient();
  const [userName, setUserName] = useState('');
  const [password, setPassword] = useState('');
  const [error, setError] = useState('');
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setError('');
    try {
      await fetchSession();
      await ok(api.POST('/session/adult', { body: { userName, password } }));
      const now = await fetchSession();
      // Somebody else's page is not theirs to go on with.
      if (now.id !== session.id) {
        location.assign('/');
        return;
      }
      client.setQueryData(keys.session, now);
      setLost(false);
      await client.invalidateQueries();
    } catch (problem) {
      setError(sentence(problem));
      setPassword('');
    }
  };
  return (
    <form onSubmit={(e) => void submit(e)}>
      <Dialog.Title>{t('You were signed out')}</Dialog.Title>
      <p>{t('What you wrote is still here. Sign in again to save it.')}</p>
      <TextField
        label={t('User name')}
        autoComplete="username"
        autoCapitalize="none"
        required
        value={userName}
        set={setUserName}
      />
      <PasswordField
        label={t('Password')}
        autoComplete="current-password"
        required
        value={password}
        set={setPassword}
      />
      {error && <ErrorText>{error}</ErrorText>}
      <Row end>
        <Button onClick={() => location.assign('/')}>{t('Leave this page')}</Button>
        <Button look="main" type="submit">
          {t('Sign in')}
        </Button>
      </Row>
    </form>
  );
}
