import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ok } from '../shared/api';
import { dayOf, minutes, percent, shortDay } from '../shared/format';
import { courseWord, goalKinds } from '../shared/goalKinds';
import { keys } from '../shared/keys';
import { signOut, useSignInBy, type Session } from '../shared/session';
import { say, t } from '../shared/words';
import { Button } from '../ui/Button';
import { Brand } from '../ui/Frame';
import { Empty, Show } from '../ui/Show';
import { LanguageSwitch } from '../shared/LanguageSwitch';
import { PageTitle } from '../ui/PageTitle';

/** When something was read, else when it is due. */
function readOrDue({ handedInAt, dueOn }: { handedInAt?: string | null; dueOn?: string | null }) {
  if (handedInAt) return dayOf(handedInAt);
  return dueOn ? t('due {{day}}', { day: shortDay(dueOn) }) : t('not finished');
}

/** What a guardian sees: their own children, in plain words. */
export default function Guardian({ session }: { session: Session }) {
  const children = useQuery({ queryKey: keys.children, queryFn: () => ok(api.GET('/guardian/children')) });
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
        <PageTitle className="sr-only">{t('Your children')}</PageTitle>
        <Show query={children}>
          {(all) =>
            all.length === 0 ? (
              <Empty title={t('No children linked yet')}>
                <p>
                  {t('The school has ended your access, or your code was for a child who has left. Ask the school.')}
                </p>
              </Empty>
            ) : (
              <>
                {all.map((c) => (
                  <article
                    key={c.id}
                    className={cx(
                      'border-ink bg-paper [&_li]:border-line grid gap-3.5 rounded-[14px] border-[1.5px] px-8',
                      'pt-6.5 pb-7.5 [&_h3]:mb-1 [&_h3]:text-lg [&_li]:border-t [&_li]:py-1.25',
                    )}
                  >
                    <h2 className="text-2xl">{c.givenName}</h2>
                    <p className="text-xl">{say(c.level)}</p>
                    <p>{say(c.trend)}</p>
                    <section>
                      <h3>{t('Goals this term')}</h3>
                      {c.goals.length === 0 ? (
                        <p className="text-soft">{t('No goals yet')}</p>
                      ) : (
                        <ul>
                          {c.goals.map((g) => (
                            <li key={g.kind}>
                              {goalKinds[g.kind].forGuardian(g.target, g.done)}, {courseWord(g.course)}
                            </li>
                          ))}
                        </ul>
                      )}
                    </section>
                    <section>
                      <h3>{t('Recent reading')}</h3>
                      {c.readings.length === 0 ? (
                        <p className="text-soft">{t('Nothing read yet')}</p>
                      ) : (
                        <ul>
                          {c.readings.slice(0, 12).map((r, i) => (
                            <li key={i}>
                              <b>{r.title}</b>{' '}
                              <span className="text-soft">
                                {readOrDue(r)}
                                {r.minutes > 0 && `, ${minutes(r.minutes * 60)}`}
                                {r.score != null &&
                                  `, ${t('{{score}} right on the first try', { score: percent(r.score) })}`}
                              </span>
                            </li>
                          ))}
                        </ul>
                      )}
                    </section>
                  </article>
                ))}
              </>
            )
          }
        </Show>
      </main>
    </div>
  );
}
