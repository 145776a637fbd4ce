import { useQuery } from '@tanstack/react-query';
import { useOutletContext } from 'react-router';
import { api, ok } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useUndo } from '../classQueries';
import { undoable } from '../school/Log';
import type { Place } from './Frame';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

/** What was changed in the class, by whom, with undo. */
export default function History() {
  const { data } = useOutletContext<Place>();
  const changes = useQuery({
    queryKey: keys.changes(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/changes', { params: { path: { classId: data.id } } })),
  });
  const undo = useUndo();
  return (
    <ListPage>
      <PageHead title={t('What was changed')} />
      <Show query={changes}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('Nothing has been changed yet')}>
              <p>{t('Assignments, goals, groups and new readers are listed here and can be undone.')}</p>
            </Empty>
          ) : (
            <TableScroll label={t('What was changed')}>
              <TableHead>
                <tr>
                  <Th>{t('When')}</Th>
                  <Th>{t('What')}</Th>
                  <Th>{t('Who')}</Th>
                  <Th>
                    <span className="sr-only">{t('Undo')}</span>
                  </Th>
                </tr>
              </TableHead>
              <TableBody>
                {rows.map((c) => (
                  <tr key={c.id}>
                    <Td>
                      {dayOf(c.at)} {timeOf(c.at)}
                    </Td>
                    <Th scope="row">{c.summary}</Th>
                    <Td>{c.by}</Td>
                    <Td>
                      {c.undoneAt ? (
                        <span className="text-soft">{t('undone')}</span>
                      ) : (
                        undoable(c.at) && (
                          <Button
                            size="sm"
                            onClick={() => undo.mutate(c.id)}
                            aria-label={t('Undo: {{what}}', { what: c.summary })}
                          >
                            {t('Undo')}
                          </Button>
                        )
                      )}
                    </Td>
                  </tr>
                ))}
              </TableBody>
            </TableScroll>
          )
        }
      </Show>
    </ListPage>
  );
}
