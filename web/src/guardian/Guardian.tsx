import { useQuery } from '@tanstack/react-query';
import { Route, Routes, useNavigate } from 'react-router';
import { api, ok } from '../shared/api';
import { dayOf, today } from '../shared/format';
import { keys } from '../shared/keys';
import { signOut, useSignInBy, type Session } from '../shared/session';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { Brand } from '../ui/Frame';
import { Empty, Show } from '../ui/Show';
import { LanguageSwitch } from '../shared/LanguageSwitch';
import { PageTitle } from '../ui/PageTitle';
import type { Child } from './child';
import { FinishedList } from './FinishedList';
import { Goals } from './Goals';
import { HowItGoes } from './HowItGoes';
import { Messages } from './Messages';
import { ChildsWeek } from './Week';
import { ReadTogether, ThisWeeksText } from './ReadTogether';

/** What a guardian sees: their own children, in plain words. */
export default function Guardian({ session }: { session: Session }) {
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  return (
    <div className="bg-depth-2 min-h-screen text-lg">
      <header className="border-ink bg-sand flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b px-5 py-2.5">
        <Brand />
        <span className="grow" />
        <span className="max-sm:hidden">{session.name}</span>
        <LanguageSwitch session={session} />
        <Button onClick={() => void signInBy(signOut).then(() => navigate('/'))}>{t('Sign out')}</Button>
      </header>
      <main className="mx-auto grid w-[min(720px,100%)] gap-7 px-5 py-8">
        <Routes>
          <Route path="/together/:readerId" element={<ReadTogether session={session} />} />
          <Route path="*" element={<Children />} />
        </Routes>
      </main>
    </div>
  );
}

/** All children of a guardian, one after another. */
function Children() {
  const children = useQuery({ queryKey: keys.children, queryFn: () => ok(api.GET('/guardian/children')) });
  return (
    <>
      <PageTitle className="sr-only">{t('Your children')}</PageTitle>
      <Show query={children}>
        {(all) =>
          all.length === 0 ? (
            <Empty title={t('No children linked yet')}>
              <p>{t('The school has ended your access, or your code was for a child who has left. Ask the school.')}</p>
            </Empty>
          ) : (
            <>
              <p className="flex flex-wrap items-center justify-between gap-3 print:hidden">
                <span>{t('You see only your child. Other families cannot see this.')}</span>
                <Button onClick={() => window.print()}>{t('Print this week')}</Button>
              </p>
              {all.map((c) => (
                <OneChild key={c.id} c={c} />
              ))}
            </>
          )
        }
      </Show>
    </>
  );
}

const most = 12;

/** One child: the week, what is due, what is finished, how it goes. */
function OneChild({ c }: { c: Child }) {
  const due = c.readings.filter((r) => !r.handedInAt);
  const done = c.readings.filter((r) => r.handedInAt);
  return (
    <article className="border-ink bg-paper overflow-clip rounded-[14px] border-[1.5px] [&_h3]:text-xl [&>section]:px-8 [&>section]:py-5">
      <ChildsWeek c={c} />
      <section className="bg-depth-2 border-ink border-y">
        <h3>{t('Due')}</h3>
        {due.length === 0 ? (
          <p>{t('Nothing is due.')}</p>
        ) : (
          <ul className="border-ink mt-2 ml-1.5 grid gap-2.5 border-l-2">
            {due.map((r, i) => (
              <li key={i} className="relative pl-5">
                <i
                  aria-hidden
                  className="border-ink bg-paper absolute top-1.5 -left-2 size-3.5 rounded-full border-2"
                />
                <b>{r.title}</b>
                <span className="block">{dueWords(r.dueOn)}</span>
              </li>
            ))}
          </ul>
        )}
      </section>
      {c.together && <ThisWeeksText child={c.id} of={c.together} />}
      <section className="border-line border-t">
        <h3>{t('Finished')}</h3>
        <FinishedList readings={done.slice(0, most)} />
      </section>
      <Messages c={c} />
      <HowItGoes c={c} />
      <Goals goals={c.goals} />
    </article>
  );
}

/** When something is due, as a plain fact. */
function dueWords(dueOn: string | null | undefined) {
  if (!dueOn) return t('whenever you like');
  if (dueOn === today()) return t('today');
  return dueOn < today() ? t('It was due {{day}}.', { day: dayOf(dueOn) }) : dayOf(dueOn);
}
