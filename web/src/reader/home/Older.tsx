import { cx } from 'class-variance-authority';
import { BookOpen, SignOut } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { LanguageSwitch } from '../../shared/LanguageSwitch';
import { dayOf } from '../../shared/format';
import type { Session } from '../../shared/session';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { ReaderBar, ReaderPage } from '../../ui/Reader';
import { ChooseNext } from '../ChooseNext';
import { KeptNote } from '../KeptNote';
import type { Home, MyTicket } from '../queries';
import { Asked } from './Asked';
import { Finished } from './Finished';
import { Goals } from './Goals';
import { Answered, Kept } from './Own';
import { Week } from './Week';

/** The home of those who read: what is asked lies in the water, what is their own on paper. */
export function Older({
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
            <BookOpen size={24} aria-hidden />
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
        <div className="bg-paper px-8 pt-5.5 pb-8 md:contents">
          <div className="md:bg-paper md:px-8 md:pt-5.5 md:pb-8">
            {home && <Week home={home} />}
            {home?.term && <Goals term={home.term} />}
          </div>
          <div className="md:bg-paper max-md:mt-4 md:pt-5.5 md:pr-8 md:pb-8 [&_h2]:text-[22px] [&_h2]:leading-7">
            {home && <Answered home={home} />}
            <ChooseNext />
            {home && <Kept home={home} />}
            <Finished tickets={done} />
          </div>
        </div>
      </main>
    </ReaderPage>
  );
}
