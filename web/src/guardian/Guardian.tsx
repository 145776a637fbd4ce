import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ok } from '../shared/api';
import { dayOf, minutes, percent, shortDay } from '../shared/format';
import { courseWord, goalKinds } from '../shared/goalKinds';
import { keys } from '../shared/keys';
import { signOut, useSignInBy, type Session } from '../shared/session';
import { Empty, Show } from '../shared/Whole';
import { t } from '../shared/words';
import { Mark } from '../teacher/frame/Mark';
import './guardian.css';

/** What a guardian sees: their own children, in plain words. */
export default function Guardian({ session }: { session: Session }) {
  const children = useQuery({ queryKey: keys.children, queryFn: () => ok(api.GET('/guardian/children')) });
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  return (
    <div className="guardian">
      <header>
        <p className="mark">
          <Mark />
          Deep Current
        </p>
        <span className="grow" />
        <span>{session.name}</span>
        <button className="btn" onClick={() => void signInBy(signOut).then(() => navigate('/'))}>
          {t('Sign out')}
        </button>
      </header>
      <main>
        <h1 className="hide">{t('Your children')}</h1>
        <Show query={children}>
          {(all) =>
            all.length === 0 ? (
              <Empty title={t('Nobody to show')}>
                <p>
                  {t('The school has ended your access, or your code was for a child who has left. Ask the school.')}
                </p>
              </Empty>
            ) : (
              <>
                {all.map((c) => (
                  <article key={c.id}>
                    <h2>{c.givenName}</h2>
                    <p className="big">{c.level}.</p>
                    <p>{c.trend}</p>
                    <section>
                      <h3>{t('Goals this term')}</h3>
                      {c.goals.length === 0 ? (
                        <p className="soft">{t('No goals have been set.')}</p>
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
                      <h3>{t('Read lately')}</h3>
                      {c.readings.length === 0 ? (
                        <p className="soft">{t('Nothing yet.')}</p>
                      ) : (
                        <ul>
                          {c.readings.slice(0, 12).map((r, i) => (
                            <li key={i}>
                              <b>{r.title}</b>{' '}
                              <span className="soft">
                                {r.handedInAt
                                  ? dayOf(r.handedInAt)
                                  : r.dueOn
                                    ? t('due {{day}}', { day: shortDay(r.dueOn) })
                                    : t('not finished')}
                                {r.minutes > 0 && `, ${minutes(r.minutes * 60)}`}
                                {r.score != null &&
                                  `, ${t('{{score}} right at the first try', { score: percent(r.score) })}`}
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
