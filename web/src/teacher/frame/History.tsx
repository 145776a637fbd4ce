import { useQuery } from '@tanstack/react-query';
import { useOutletContext } from 'react-router';
import { api, ok } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useUndo } from '../classQueries';
import { undoable } from '../school/Log';
import type { Place } from './Frame';

/** What was changed in the class, by whom, with undo. */
export default function History() {
  const { data } = useOutletContext<Place>();
  const changes = useQuery({
    queryKey: keys.changes(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/changes', { params: { path: { classId: data.id } } })),
  });
  const undo = useUndo();
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('What was changed')}</h1>
      </div>
      <Show query={changes}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('Nothing has been changed yet')}>
              <p>{t('Assignments, goals, groups and new readers are listed here and can be undone.')}</p>
            </Empty>
          ) : (
            <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
              <table>
                <thead>
                  <tr>
                    <th>{t('When')}</th>
                    <th>{t('What')}</th>
                    <th>{t('Who')}</th>
                    <th>
                      <span className="hide">{t('Undo')}</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((c) => (
                    <tr key={c.id}>
                      <td>
                        {dayOf(c.at)} {timeOf(c.at)}
                      </td>
                      <th scope="row">{c.summary}</th>
                      <td>{c.by}</td>
                      <td>
                        {c.undoneAt ? (
                          <span className="soft">{t('undone')}</span>
                        ) : (
                          undoable(c.at) && (
                            <button
                              className="btn small"
                              onClick={() => undo.mutate(c.id)}
                              aria-label={t('Undo: {{what}}', { what: c.summary })}
                            >
                              {t('Undo')}
                            </button>
                          )
                        )}
                      </td>
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
