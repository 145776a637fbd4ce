import { cx } from 'class-variance-authority';
import { useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { api, ok } from './api';
import { keys } from './keys';
import { beginAs, fetchSession, nobodyAfter, type Session } from './session';
import { keepReturn } from './comingBack';
import { t } from './words';
import { SignInForm, type SignIn } from './SignInForm';

type Props = { session: Session; back: () => void };

/** The window in which somebody whose session has ended signs in again. */
export default function SignInAgain({ session, back }: Props) {
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="bg-ink/35 fixed inset-0 z-20" />
        <Dialog.Content
          className={cx(
            'fixed top-1/2 left-1/2 z-21 w-[min(480px,calc(100vw-32px))] -translate-1/2 rounded-md border',
            'border-ink bg-paper shadow-lift px-5 pt-3.5 pb-5',
          )}
          onEscapeKeyDown={(e) => e.preventDefault()}
          onPointerDownOutside={(e) => e.preventDefault()}
          aria-describedby={undefined}
        >
          {session.role === 'Reader' ? <ReaderAgain session={session} /> : <AdultAgain session={session} back={back} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function ReaderAgain({ session }: { session: Session }) {
  const client = useQueryClient();
  const go = async () => {
    keepReturn(session.id);
    beginAs(client, await fetchSession().catch(() => nobodyAfter(session)));
  };
  return (
    <div className="text-reader grid gap-3">
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

function AdultAgain({ session, back }: Props) {
  const client = useQueryClient();
  const send = async (typed: SignIn) => {
    await fetchSession();
    await ok(api.POST('/session/adult', { body: typed }));
    const now = await fetchSession();
    // Somebody else's page is not theirs to go on with.
    if (now.id !== session.id) {
      location.assign('/');
      return;
    }
    client.setQueryData(keys.session, now);
    back();
    await client.invalidateQueries();
  };
  return (
    <SignInForm send={send} leave={() => location.assign('/')}>
      <Dialog.Title>{t('You were signed out')}</Dialog.Title>
      <p>{t('What you wrote is still here. Sign in again to save it.')}</p>
    </SignInForm>
  );
}
