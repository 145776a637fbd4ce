import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { phrase, t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { Button } from '../../../ui/Button';
import { ListPage, PageHead } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';
import { SearchField } from '../../../ui/TextField';
import { DataList } from '../../../ui/table/DataList';
import type { Column } from '../../../ui/table/useDataTable';
import { AddCopies } from './AddCopies';
import { Desk } from './Desk';

type Copy = Api<'CopyView'>;

const withWhom = (c: Copy) => c.reader ?? (c.readerId ? t('a reader of another class') : '');

const columns = (classId: string, remove: (c: Copy) => void): Column<Copy>[] => [
  { key: 'code', name: phrase('Copy'), by: (c) => c.code, show: (c) => c.code },
  {
    key: 'text',
    name: phrase('Text'),
    by: (c) => c.title,
    show: (c) => (c.textId ? <Link to={`/class/${classId}/texts/${c.textId}`}>{c.title}</Link> : c.title),
  },
  { key: 'with', name: phrase('With'), by: withWhom, show: (c) => withWhom(c) || t('here') },
  { key: 'since', name: phrase('Since'), by: (c) => c.lentAt ?? '', show: (c) => (c.lentAt ? dayOf(c.lentAt) : '') },
  {
    key: 'back',
    name: phrase('Back by'),
    by: (c) => c.dueOn ?? '9',
    show: (c) =>
      c.dueOn && (
        <>
          {dayOf(c.dueOn)}
          {c.late && <b className="border-buoy border-b-2"> {t('late')}</b>}
        </>
      ),
  },
  {
    key: 'do',
    name: phrase('Actions'),
    show: (c) => (
      <Button size="sm" onClick={() => remove(c)} aria-label={t('Remove copy {{code}}', { code: c.code })}>
        {t('Remove')}
      </Button>
    ),
  },
];

const matches = (c: Copy, asked: string) =>
  `${c.code} ${c.title} ${c.reader ?? ''}`.toLowerCase().includes(asked.trim().toLowerCase());

/** Copies on paper: the desk lends and takes back; below it, what there is, who has it and what is late. */
export default function Copies() {
  const { data } = useOutletContext<Place>();
  const client = useQueryClient();
  const all = useQuery({ queryKey: keys.copies, queryFn: () => ok(api.GET('/copies')) });
  const again = () => client.invalidateQueries({ queryKey: keys.copies });
  const [adding, setAdding] = useState(false);
  const [asked, setAsked] = useState('');
  const remove = (c: Copy) =>
    void ok(api.DELETE('/copies/{copyId}', { params: { path: { copyId: c.id } } })).then(
      () => {
        toast(t('Removed copy “{{code}}”', { code: c.code }));
        void again();
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <ListPage>
      <PageHead
        title={t('Paper copies')}
        beside={
          <SearchField
            label={t('Filter copies')}
            placeholder={t('Code, title or reader')}
            value={asked}
            set={setAsked}
          />
        }
      >
        {all.data && all.data.length > 0 && <Button onClick={() => setAdding(true)}>{t('Add copies')}</Button>}
      </PageHead>
      <Desk done={() => void again()} />
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No paper copies yet')}>
              <p>
                {t(
                  phrase(
                    'Give each paper copy a code, or use the printed one. A user name and a code lend it; the ' +
                      'code alone returns it.',
                  ),
                )}
              </p>
              <Button onClick={() => setAdding(true)}>{t('Add copies')}</Button>
            </Empty>
          ) : (
            <DataList
              list="copies"
              label={t('Paper copies')}
              columns={columns(data.id, remove)}
              rows={rows}
              id={(c) => c.id}
              name={(c) => c.code}
              sort={{ key: 'back', down: false }}
              asked={asked}
              matches={matches}
              counted={() =>
                t('{{out}} of {{count}} copies lent, {{late}} late', {
                  count: rows.length,
                  out: rows.filter((c) => c.readerId).length,
                  late: rows.filter((c) => c.late).length,
                })
              }
              empty={<p className="text-soft px-4 py-3">{t('No copies match')}</p>}
            />
          )
        }
      </Show>
      {adding && (
        <AddCopies
          close={() => {
            setAdding(false);
            void again();
          }}
        />
      )}
    </ListPage>
  );
}
