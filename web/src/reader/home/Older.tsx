import { cx } from 'class-variance-authority';
import { Plus, SignOut } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { LanguageSwitch } from '../../shared/LanguageSwitch';
import { dayOf } from '../../shared/format';
import type { Session } from '../../shared/session';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { ReaderBar, ReaderPage } from '../../ui/Reader';
import { KeptNote } from '../KeptNote';
import { OwnColumns } from './own';
import type { Home, MyTicket } from '../queries';
import { Asked } from './Asked';

/** The home of those who read: what is asked lies in the water, what is their own on paper. */
export default function Older({
  session,
  home,
  today,
  open,
  done,
  isNew,
  signOut,
}: {
  session: Session;
  /** Null while it is fetched, and where it cannot be. */
  home: Home | null;
  today: string;
  open: MyTicket[];
  done: MyTicket[];
  isNew: (id: string) => boolean;
  signOut: () => void;
}) {
  return (
    <ReaderPage className="flex flex-col">
      <ReaderBar>
        <PageTitle>{t('My reading')}</PageTitle>
        <KeptNote />
        <span className="grow" />
        <b>
          {session.name}, {dayOf(today)}
        </b>
        <Button asChild size="reader">
          <Link to="/mine">
            <Plus size={24} aria-hidden />
            {t('Add a paper book')}
          </Link>
        </Button>
        <LanguageSwitch session={session} size="reader" />
        <Button size="reader" onClick={signOut}>
          <SignOut size={24} aria-hidden />
          {t('Sign out')}
        </Button>
      </ReaderBar>
      <main
        className={cx(
          'grid grow sm:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]',
          'md:grid-cols-[508px_minmax(0,1fr)_minmax(0,1fr)]',
        )}
      >
        <Asked open={open} today={today} isNew={isNew} />
        <OwnColumns home={home} done={done} />
      </main>
    </ReaderPage>
  );
}
