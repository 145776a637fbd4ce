import { useQuery } from '@tanstack/react-query';
import { useOutletContext } from 'react-router';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { ChangesTable } from './ChangesTable';
import type { Place } from './Frame';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';

/** What was changed in the class, by whom, with undo. */
export default function History() {
  const { data } = useOutletContext<Place>();
  const changes = useQuery({
    queryKey: keys.changes(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/changes', { params: { path: { classId: data.id } } })),
  });
  return (
    <ListPage>
      <PageHead title={t('Class history')} />
      <Show query={changes}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No changes yet')}>
              <p>{t('Changes to assignments, goals, groups and readers appear here. You can undo them.')}</p>
            </Empty>
          ) : (
            <ChangesTable label={t('Class history')} rows={rows} />
          )
        }
      </Show>
    </ListPage>
  );
}
