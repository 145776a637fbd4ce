import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { dayOf, fm } from '../../shared/format';
import { keys } from '../../shared/keys';
import { sure } from '../../shared/sure';
import { named, phrase, t } from '../../shared/words';
import { TaskDialog } from '../assignments/TaskDialog';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';
import { freshWordList, saveWordList, WordListEditor, type WordListDraft } from './WordListEditor';

type WordList = Api<'WordListView'>;

function whose(d: WordList) {
  if (d.mine) return t('mine');
  return d.own ? t('mine, shared') : (d.owner ?? t('the school'));
}

const columns: Column<WordList>[] = [
  { key: 'name', name: phrase('Word list'), by: (d) => d.name, show: (d) => d.name },
  { key: 'words', name: phrase('Words'), wrap: true, show: (d) => d.words.map((w) => w.text).join(', ') },
  {
    key: 'rounds',
    name: phrase('Practised in'),
    by: (d) => d.words.length,
    show: (d) =>
      d.rounds.length === 1
        ? t('one round of {{n}}', { n: sure(d.rounds[0]) })
        : t('rounds of {{sizes}}', { sizes: d.rounds.join(', ') }),
  },
  {
    key: 'topics',
    name: phrase('Topics'),
    wrap: true,
    by: (d) => d.topics[0] ?? '',
    show: (d) => d.topics.map(named).join(', ') || '–',
  },
  {
    key: 'depth',
    name: phrase('Depth'),
    num: true,
    by: (d) => d.depth ?? -1,
    show: (d) => (d.depth == null ? '–' : t('{{n}} fm', { n: fm(d.depth) })),
  },
  { key: 'whose', name: phrase('Whose'), by: whose, show: whose },
  { key: 'changed', name: phrase('Changed'), by: (d) => d.changedAt, show: (d) => dayOf(d.changedAt) },
];

/** Word lists of one's own, and the school's. */
export default function WordLists() {
  const { data } = useOutletContext<Place>();
  const client = useQueryClient();
  const wordLists = useQuery({ queryKey: keys.wordLists, queryFn: () => ok(api.GET('/word-lists')) });
  const [giving, setGiving] = useState<WordList | null>(null);
  const [looking, look] = useState<WordList | null>(null);
  const tray = useTray();
  const [open, setOpen] = useState<WordListDraft | null>(null);
  const again = () => client.invalidateQueries({ queryKey: keys.wordLists });
  const drop = useMutation({
    mutationFn: (d: WordList) =>
      ok(api.DELETE('/word-lists/{wordListId}', { params: { path: { wordListId: d.id } } })).then(() => d),
    onSuccess: async (d) => {
      await again();
      toast(t('Deleted “{{name}}”', { name: d.name }), {
        action: {
          label: t('Undo'),
          onClick: () => void saveWordList({ ...d, revision: 0 }).then(again, (e: unknown) => toast.error(sentence(e))),
        },
      });
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const actions: Column<WordList> = {
    key: 'do',
    name: phrase('Actions'),
    show: (d) => (
      <span className="flex gap-1.5">
        <Button size="sm" aria-label={t('Look into {{name}}', { name: d.name })} onClick={() => look(d)}>
          {t('Look')}
        </Button>
        <Button size="sm" aria-label={t('Assign {{title}}', { title: d.name })} onClick={() => setGiving(d)}>
          {t('Assign…')}
        </Button>
        {d.mayChange && (
          <Button size="sm" aria-label={t('Delete {{name}}', { name: d.name })} onClick={() => drop.mutate(d)}>
            {t('Delete')}
          </Button>
        )}
      </span>
    ),
  };
  return (
    <ListPage>
      <PageHead title={t('Word lists')}>
        <Button asChild>
          <Link to={`/class/${data.id}/texts`}>{t('Texts')}</Link>
        </Button>
        <Button look="main" onClick={() => setOpen(freshWordList())}>
          {t('New word list')}
        </Button>
      </PageHead>
      <Show query={wordLists}>
        {(all) =>
          all.length === 0 ? (
            <Empty title={t('No word lists yet')}>
              <p>
                {t(
                  phrase(
                    'Each text has its words to know. Your own word list gathers words from several texts or a ' +
                      'lesson, with meanings your readers understand.',
                  ),
                )}
              </p>
              <Button look="main" onClick={() => setOpen(freshWordList())}>
                {t('New word list')}
              </Button>
            </Empty>
          ) : (
            <DataList
              list="word-lists"
              label={t('Word lists')}
              columns={[...columns, actions]}
              rows={all}
              id={(d) => d.id}
              name={(d) => d.name}
              open={(d) => (d.mayChange ? setOpen({ ...d, words: [...d.words] }) : look(d))}
              counted={(_, count) => t('{{count}} word lists', { count })}
            />
          )
        }
      </Show>
      {looking && (
        <LookInto
          list={looking}
          close={() => look(null)}
          assign={() => {
            setGiving(looking);
            look(null);
          }}
        />
      )}
      {giving && (
        <TaskDialog
          data={data}
          readers={data.readers.filter((r) => tray.readers.includes(r.id))}
          first={{ kind: 'Words', wordListId: giving.id, title: giving.name }}
          close={() => setGiving(null)}
        />
      )}
      {open && (
        <WordListEditor
          draft={open}
          close={() => setOpen(null)}
          saved={() => {
            setOpen(null);
            void again();
          }}
        />
      )}
    </ListPage>
  );
}

/** A list as it is, before it is given. */
function LookInto({ list, close, assign }: { list: WordList; close: () => void; assign: () => void }) {
  return (
    <Dialog title={list.name} close={close}>
      <dl className="grid gap-2">
        {list.words.map((w) => (
          <div key={w.text}>
            <dt className="font-semibold">
              {w.text} <span className="text-soft font-normal">{w.part && named(w.part)}</span>
            </dt>
            <dd>{w.meaning}</dd>
            {w.example && <dd className="text-soft">{w.example}</dd>}
          </div>
        ))}
      </dl>
      <DialogFoot>
        <Button onClick={close}>{t('Close')}</Button>
        <Button look="main" onClick={assign}>
          {t('Assign…')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
