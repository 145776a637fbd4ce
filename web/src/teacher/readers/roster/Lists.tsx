import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { keys } from '../../../shared/keys';
import { teaches } from '../../../shared/parts';
import { phrase, t } from '../../../shared/words';
import { calledIn, type ReaderRow } from '../../classQueries';
import type { Place } from '../../frame/Frame';
import { useTray } from '../../tray/useTray';
import { readerMatches } from '../readerMatches';
import { RosterTabs } from '../RosterTabs';
import { ListCard } from './ListCard';
import { ListDialog } from './ListDialog';
import { sure } from '../../../shared/sure';
import { Button } from '../../../ui/Button';
import { Cards, PageHead, ScrollPage } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';

type List = Api<'ReaderListView'>;

/** Lists of readers: made by hand or from the tray, or by a filter that keeps itself. A reader may be in several. */
export default function Lists() {
  const { data } = useOutletContext<Place>();
  const called = calledIn(data);
  const lists = useQuery({
    queryKey: keys.lists(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/lists', { params: { path: { classId: data.id } } })),
  });
  const [editing, setEditing] = useState<List | null>(null);
  const tray = useTray();
  const changed = useChanged();
  const onError = (e: unknown) => toast.error(sentence(e));
  const save = useMutation({
    mutationFn: (l: List) =>
      ok(
        api.PUT('/classes/{classId}/lists/{listId}', { params: { path: { classId: data.id, listId: l.id } }, body: l }),
      ),
    onSuccess: () => void changed('lists'),
  });
  const drop = useMutation({
    mutationFn: (l: List) =>
      ok(api.DELETE('/classes/{classId}/lists/{listId}', { params: { path: { classId: data.id, listId: l.id } } })),
    onSuccess: (_, l) => {
      toast.success(t('Deleted list {{name}}', { name: l.name }), {
        duration: 15_000,
        action: { label: t('Undo'), onClick: () => save.mutate(l, { onError }) },
      });
      void changed('lists');
    },
    onError,
  });
  const may = teaches(data.part);
  const membersOf = (l: List): ReaderRow[] =>
    l.filter
      ? data.readers.filter((r) => readerMatches(r, sure(l.filter).asked))
      : l.readerIds.map((id) => data.readers.find((r) => r.id === id)).filter((r): r is ReaderRow => !!r);
  const fresh = (readerIds: string[]): List => ({
    id: crypto.randomUUID(),
    name: '',
    mark: 'ring',
    note: '',
    position: lists.data?.length ?? 0,
    filter: null,
    readerIds,
  });
  const swap = (rows: List[], i: number, to: number) => {
    if (rows[i] && rows[to]) {
      save.mutate({ ...rows[i], position: to }, { onError });
      save.mutate({ ...rows[to], position: i }, { onError });
    }
  };
  return (
    <ScrollPage>
      <PageHead title={t('Readers')} beside={<RosterTabs classId={data.id} />}>
        {may && (
          <>
            <Button onClick={() => setEditing({ ...fresh([]), filter: { asked: '' } })}>
              {t('New list from filter')}
            </Button>
            <Button look="main" onClick={() => setEditing(fresh(tray.readers))}>
              {tray.readers.length > 0
                ? t('New list of {{count}} in tray', { count: tray.readers.length })
                : t('New list')}
            </Button>
          </>
        )}
      </PageHead>
      <Show query={lists}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No lists yet')}>
              <p>
                {t(
                  phrase(
                    'A list keeps readers together for a while: a book club, early sign-ins, letters to send. ' +
                      'Readers never see it.',
                  ),
                )}
              </p>
            </Empty>
          ) : (
            <Cards>
              {rows.map((l, i) => (
                <ListCard
                  key={l.id}
                  list={l}
                  members={membersOf(l)}
                  called={called}
                  may={may}
                  first={i === 0}
                  last={i === rows.length - 1}
                  edit={() => setEditing(l)}
                  move={(by) => swap(rows, i, i + by)}
                  drop={() => drop.mutate(l)}
                />
              ))}
            </Cards>
          )
        }
      </Show>
      {editing && (
        <ListDialog
          list={editing}
          readers={data.readers}
          close={() => setEditing(null)}
          save={(l) => save.mutateAsync(l)}
        />
      )}
    </ScrollPage>
  );
}
