import { useQuery } from '@tanstack/react-query';
import { Route, Routes, useNavigate } from 'react-router';
import { api, ok, type Api } from '../shared/api';
import { dayOf, minutes, number, today } from '../shared/format';
import { goalKinds } from '../shared/goalKinds';
import { keys } from '../shared/keys';
import { Pool } from '../shared/pool/Pool';
import { signOut, useSignInBy, type Session } from '../shared/session';
import { say, t } from '../shared/words';
import { Button } from '../ui/Button';
import { Brand } from '../ui/Frame';
import { Empty, Show } from '../ui/Show';
import { LanguageSwitch } from '../shared/LanguageSwitch';
import { PageTitle } from '../ui/PageTitle';
import { ReadTogether, ThisWeeksText } from './ReadTogether';

/** What a guardian sees: their own children, in plain words. */
export default function Guardian({ session }: { session: Session }) {
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  return (
    <div className="bg-depth-2 min-h-screen text-lg">
      <header className="border-ink bg-sand flex items-center gap-3 border-b px-5 py-2.5">
        <Brand />
        <span className="grow" />
        <span>{session.name}</span>
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
              {all.map((c) => (
                <Child key={c.id} c={c} />
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
function Child({ c }: { c: Api<'ChildView'> }) {
  const due = c.readings.filter((r) => !r.handedInAt);
  const done = c.readings.filter((r) => r.handedInAt);
  return (
    <article className="border-ink bg-paper overflow-clip rounded-[14px] border-[1.5px] [&_h3]:text-xl [&>section]:px-8 [&>section]:py-5">
      <section>
        <h2 className="text-2xl leading-9">{t('{{name}}’s week', { name: c.givenName })}</h2>
        <p>
          {t('{{name}} has read {{count}} words since Monday.', { name: c.givenName, count: c.thisWeek })}{' '}
          {t('Last week {{n}}.', { n: number(c.lastWeek) })}
        </p>
      </section>
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
        {done.length === 0 ? (
          <p className="text-soft">{t('Nothing read yet')}</p>
        ) : (
          <ul>
            {done.slice(0, most).map((r, i) => (
              <li key={i} className="border-line flex flex-wrap justify-between gap-x-4 py-1.5 [&+li]:border-t">
                <b>{r.title}</b>
                <span className="text-soft">
                  {[
                    r.handedInAt && dayOf(r.handedInAt),
                    r.minutes > 0 && minutes(r.minutes * 60),
                    r.asked > 0 && t('{{right}} of {{n}} right on the first try', { right: r.right, n: r.asked }),
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section className="border-line border-t">
        <h3>{t('How it goes')}</h3>
        <p>{say(c.level)}</p>
        <p>{say(c.trend)}</p>
        {c.pool !== null && c.pool.length > 0 && (
          <figure className="mt-3 max-w-90">
            <Pool
              count={c.pool.length}
              newest
              label={t('{{name}}’s tide pool: {{titles}}', { name: c.givenName, titles: c.pool.join(', ') })}
            />
            <figcaption className="text-soft">
              {t('The tide pool: one thing for each text {{name}} understood this school year.', {
                name: c.givenName,
              })}
            </figcaption>
          </figure>
        )}
        {c.goals.length > 0 && (
          <>
            <h4 className="mt-3 font-semibold">{t('Goals this term')}</h4>
            <ul>
              {c.goals.map((g) => (
                <li key={g.kind}>{goalKinds[g.kind].forGuardian(g.target, g.done)}</li>
              ))}
            </ul>
          </>
        )}
      </section>
    </article>
  );
}

/** When something is due, as a plain fact. */
function dueWords(dueOn: string | null | undefined) {
  if (!dueOn) return t('whenever you like');
  if (dueOn === today()) return t('today');
  return dueOn < today() ? t('It was due {{day}}.', { day: dayOf(dueOn) }) : dayOf(dueOn);
}
