import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, Problem, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { WordRows, type WordRow } from './WordRows';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Form, ListPage, PageHead, Row } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { SearchField, TextField } from '../../ui/TextField';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

type WordList = Api<'WordListView'>;
type Draft = { id: string; revision: number; name: string; mine: boolean; words: WordRow[] };

const fresh = (): Draft => ({ id: crypto.randomUUID(), revision: 0, name: '', mine: true, words: [] });
const save = (d: Draft) =>
  ok(
    api.PUT('/word-lists/{wordListId}', {
      params: { path: { wordListId: d.id } },
      body: { revision: d.revision, name: d.name, mine: d.mine, words: d.words },
    }),
  );

/** Word wordLists of one's own, and the school's. */
export default function WordLists() {
  const { data } = useOutletContext<Place>();
  const client = useQueryClient();
  const wordLists = useQuery({ queryKey: keys.wordLists, queryFn: () => ok(api.GET('/word-lists')) });
  const [open, setOpen] = useState<Draft | null>(null);
  const again = () => client.invalidateQueries({ queryKey: keys.wordLists });
  const drop = useMutation({
    mutationFn: (d: WordList) =>
      ok(api.DELETE('/word-lists/{wordListId}', { params: { path: { wordListId: d.id } } })).then(() => d),
    onSuccess: async (d) => {
      await again();
      toast(t('Deleted “{{name}}”', { name: d.name }), {
        action: {
          label: t('Undo'),
          onClick: () => void save({ ...d, revision: 0 }).then(again, (e: unknown) => toast.error(sentence(e))),
        },
      });
    },
    onError: (e) => toast.error(sentence(e)),
  });
  return (
    <ListPage>
      <PageHead title={t('Word lists')}>
        <Button asChild>
          <Link to={`/class/${data.id}/texts`}>{t('Texts')}</Link>
        </Button>
        <Button look="main" onClick={() => setOpen(fresh())}>
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
              <Button look="main" onClick={() => setOpen(fresh())}>
                {t('New word list')}
              </Button>
            </Empty>
          ) : (
            <TableScroll label={t('Word lists')}>
              <TableHead>
                <tr>
                  <Th>{t('Word list')}</Th>
                  <Th>{t('Words')}</Th>
                  <Th>{t('Practised in')}</Th>
                  <Th>{t('Whose')}</Th>
                  <Th>{t('Changed')}</Th>
                  <Th>
                    <span className="sr-only">{t('Delete')}</span>
                  </Th>
                </tr>
              </TableHead>
              <TableBody>
                {all.map((d) => (
                  <tr key={d.id}>
                    <Th scope="row">
                      {d.mayChange ? (
                        <Button look="plain" size="sm" onClick={() => setOpen({ ...d, words: [...d.words] })}>
                          {d.name}
                        </Button>
                      ) : (
                        d.name
                      )}
                    </Th>
                    <Td>{d.words.map((w) => w.text).join(', ')}</Td>
                    <Td>
                      {d.rounds.length === 1
                        ? t('one round of {{n}}', { n: sure(d.rounds[0]) })
                        : t('rounds of {{sizes}}', { sizes: d.rounds.join(', ') })}
                    </Td>
                    <Td>{d.mine ? t('mine') : d.own ? t('mine, shared') : (d.owner ?? t('the school'))}</Td>
                    <Td>{dayOf(d.changedAt)}</Td>
                    <Td>
                      {d.mayChange && (
                        <Button
                          size="sm"
                          aria-label={t('Delete {{name}}', { name: d.name })}
                          onClick={() => drop.mutate(d)}
                        >
                          {t('Delete')}
                        </Button>
                      )}
                    </Td>
                  </tr>
                ))}
              </TableBody>
            </TableScroll>
          )
        }
      </Show>
      {open && (
        <Editor
          draft={open}
          close={() => setOpen(null)}
          kept={() => {
            setOpen(null);
            void again();
          }}
        />
      )}
    </ListPage>
  );
}

function Editor({ draft, close, kept }: { draft: Draft; close: () => void; kept: () => void }) {
  const [list, setList] = useState(draft);
  const keep = useMutation({ mutationFn: () => save(list), onSuccess: kept });
  const at =
    keep.error instanceof Problem ? Object.keys(keep.error.fields).find((k) => k.startsWith('words')) : undefined;
  const add = (words: WordRow[]) =>
    setList((d) => ({
      ...d,
      words: [...d.words, ...words.filter((w) => !d.words.some((o) => o.text.toLowerCase() === w.text.toLowerCase()))],
    }));
  return (
    <Dialog title={draft.revision === 0 ? t('New word list') : t('Edit word list')} close={close} wide>
      <Form
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate();
        }}
      >
        <FieldRow>
          <TextField
            label={t('Name')}
            error={fieldOf(keep.error, 'name')}
            autoFocus
            value={list.name}
            set={(value) => setList({ ...list, name: value })}
          />
          <Checkbox checked={!list.mine} set={(on) => setList({ ...list, mine: !on })}>
            {t('Share with my school')}
          </Checkbox>
        </FieldRow>
        <FromText add={add} />
        <WordRows
          words={list.words}
          set={(words) => setList({ ...list, words })}
          error={at && fieldOf(keep.error, at)}
        />
        {keep.error && !at && !fieldOf(keep.error, 'name') && <ErrorText>{sentence(keep.error)}</ErrorText>}
        <DialogFoot>
          <span className="text-soft text-sm">
            {t('{{count}} words, practised at most ten at a time', { count: list.words.length })}
          </span>
          <span className="grow" />
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={keep.isPending}>
            {t('Save word list')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}

/** Takes over the words of a text in the library. */
function FromText({ add }: { add: (words: WordRow[]) => void }) {
  const [typed, setTyped] = useState('');
  const found = useQuery({
    queryKey: keys.library.forWordLists(typed),
    enabled: typed.trim().length > 1,
    queryFn: () => ok(api.GET('/library', { params: { query: { wordsToKnow: true, q: typed } } })),
  });
  // Emptied at once: what is typed while the words are on their way stays.
  const take = (id: string) => {
    setTyped('');
    void ok(api.GET('/texts/{textId}', { params: { path: { textId: id } } })).then(
      (x) => add(x.words),
      (e: unknown) => toast.error(sentence(e)),
    );
  };
  return (
    <div className="grid gap-1">
      <SearchField label={t('Add words from a text')} placeholder={t('Find texts')} value={typed} set={setTyped} />
      {typed.trim().length > 1 && found.data && (
        <Row>
          {found.data.rows.length === 0
            ? t('No texts match')
            : found.data.rows.slice(0, 5).map((r) => (
                <Button size="sm" key={r.id} onClick={() => take(r.id)}>
                  {t('{{title}}: {{count}} words', { title: r.title, count: r.wordsToKnow })}
                </Button>
              ))}
        </Row>
      )}
    </div>
  );
}
