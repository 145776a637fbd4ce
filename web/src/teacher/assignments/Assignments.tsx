import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, percent } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { AssignmentTabs } from '../checks/Checks';
import type { Place } from '../frame/Frame';

/** Everything given to the class, latest first, and how far it is. */
export default function Assignments() {
  const { data } = useOutletContext<Place>();
  const all = useQuery({
    queryKey: keys.assignments(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/assignments', { params: { path: { classId: data.id } } })),
  });
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Assignments')}</h1>
        <AssignmentTabs classId={data.id} />
      </div>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('Nothing given yet')}>
              <p>{t('Pick up readers and a text; the tray at the bottom assigns them.')}</p>
              <Link className="btn main" to={`/class/${data.id}/texts`}>
                {t('Find a text')}
              </Link>
            </Empty>
          ) : (
            <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
              <table>
                <thead>
                  <tr>
                    <th>{t('Text')}</th>
                    <th>{t('Given')}</th>
                    <th>{t('Due')}</th>
                    <th className="num">{t('Readers')}</th>
                    <th>{t('Not opened · under way · handed in')}</th>
                    <th className="num">{t('First try')}</th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((a) => (
                    <tr key={a.id}>
                      <th scope="row">
                        <Link to={`/class/${data.id}/assignments/${a.id}`}>{a.title}</Link>
                        {a.correctedAt && (
                          <small className="corrected">
                            {' '}
                            {t('corrected since, {{day}}', { day: dayOf(a.correctedAt) })}
                          </small>
                        )}
                      </th>
                      <td>
                        {a.chosen
                          ? t('chosen by readers, last {{day}}', { day: dayOf(a.assignedAt) })
                          : dayOf(a.assignedAt)}
                      </td>
                      <td>{a.dueOn ? dayOf(a.dueOn) : '–'}</td>
                      <td className="num">{a.tickets}</td>
                      <td>
                        <States a={a} />
                      </td>
                      <td className="num">{a.meanScore == null ? '–' : percent(a.meanScore)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )
        }
      </Show>
    </section>
  );
}

function States({ a }: { a: Api<'AssignmentRow'> }) {
  const width = 150,
    part = (n: number) => (n / Math.max(1, a.tickets)) * width;
  return (
    <span className="states">
      <svg width={width + 2} height="12" aria-hidden>
        <rect x="1" y="1" width={part(a.done)} height="10" fill="var(--depth-6)" />
        <rect x={1 + part(a.done)} y="1" width={part(a.underWay)} height="10" fill="var(--depth-3)" />
        <rect x=".5" y=".5" width={width} height="11" fill="none" stroke="var(--ink-soft)" />
      </svg>
      {a.waiting} · {a.underWay} · {a.done}
    </span>
  );
}
