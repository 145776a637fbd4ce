import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext, useParams } from 'react-router';
import { api, ok } from '../../shared/api';
import { dayOf, fm, minutes, percent, signed, timeOf } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';

/** One assignment: each reader's ticket, its state and its result. The states change as readers work. */
export default function Assignment() {
  const { data } = useOutletContext<Place>();
  const { assignmentId = '' } = useParams();
  const one = useQuery({
    queryKey: keys.assignment(assignmentId),
    queryFn: () => ok(api.GET('/assignments/{assignmentId}', { params: { path: { assignmentId } } })),
  });
  return (
    <Show query={one}>
      {({ assignment: a, tickets }) => (
        <section className="listpage" aria-labelledby="title">
          <div className="head">
            <h1 id="title">{a.title}</h1>
            <p className="soft">
              {t('given {{day}}', { day: dayOf(a.assignedAt) })}
              {a.dueOn && ` · ${t('due')} ${dayOf(a.dueOn)}`} · {t('tries at each question')} {a.attempts}
            </p>
          </div>
          {a.correctedAt && (
            <p className="note" role="status">
              {t('This text was corrected on {{day}}, after it was given.', { day: dayOf(a.correctedAt) })}{' '}
              <Link to={`/class/${data.id}/texts/${a.textId}`}>{t('See the text and its history')}</Link>
            </p>
          )}
          <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
            <table>
              <thead>
                <tr>
                  <th>{t('Reader')}</th>
                  <th>{t('State')}</th>
                  <th className="num">{t('Version')}</th>
                  <th className="num">{t('Fit')}</th>
                  <th className="num">{t('Page')}</th>
                  <th className="num">{t('Time open')}</th>
                  <th>{t('Handed in')}</th>
                  <th className="num">{t('First try')}</th>
                  <th className="num">{t('Level after')}</th>
                  <th>
                    <span className="hide">{t('Open')}</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {tickets.map((k) => (
                  <tr key={k.id}>
                    <th scope="row">
                      {k.givenName} {k.familyName}
                    </th>
                    <td>{t(ticketWords[k.state])}</td>
                    <td className="num">{fm(k.versionDepth)} fm</td>
                    <td className="num">{percent(k.forecast)}</td>
                    <td className="num">
                      {k.openedAt ? t('{{n}} of {{of}}', { n: Math.min(k.page + 1, k.pages), of: k.pages }) : '–'}
                    </td>
                    <td className="num">{minutes(k.seconds)}</td>
                    <td>{k.handedInAt ? `${dayOf(k.handedInAt)} ${timeOf(k.handedInAt)}` : '–'}</td>
                    <td className="num">{k.score == null ? '–' : percent(k.score)}</td>
                    <td className="num">
                      {k.afterMean == null || k.beforeMean == null
                        ? '–'
                        : `${fm(k.afterMean)} (${signed(k.afterMean - k.beforeMean)})`}
                    </td>
                    <td>
                      <Link
                        className="btn small"
                        to={`/class/${data.id}/tickets/${k.id}`}
                        aria-label={t('Answers of {{name}}', { name: k.givenName })}
                      >
                        {t('Answers')}
                      </Link>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      )}
    </Show>
  );
}
