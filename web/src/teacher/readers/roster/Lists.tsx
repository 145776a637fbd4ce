import { cx } from 'class-variance-authority';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { keys } from '../../../shared/keys';
import { teaches } from '../../../shared/parts';
import { named, phrase, t } from '../../../shared/words';
import { calledIn, type ReaderRow } from '../../classQueries';
import type { Place } from '../../frame/Frame';
import { useTray } from '../../tray/useTray';
import { readerMatches } from '../readerMatches';
import { RosterTabs } from '../RosterTabs';
import { ListMark, marks } from './ListMark';
import { sure } from '../../../shared/sure';
import { Button } from '../../../ui/Button';
import { Checkbox, Radios } from '../../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { FieldSet } from '../../../ui/Field';
import { Form, PageHead, Row, ScrollPage } from '../../../ui/Page';
import { Flag } from '../../../ui/Shapes';
import { Empty, Show } from '../../../ui/Show';
import { TextField } from '../../../ui/TextField';

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
  const save = useMutation({
    mutationFn: (l: List) =>
      ok(
        api.PUT('/classes/{classId}/lists/{listId}', { params: { path: { classId: data.id, listId: l.id } }, body: l }),
      ),
    onSuccess: () => void changed('lists'),
    onError: (e) => toast.error(sentence(e)),
  });
  const drop = useMutation({
    mutationFn: (l: List) =>
      ok(api.DELETE('/classes/{classId}/lists/{listId}', { params: { path: { classId: data.id, listId: l.id } } })),
    onSuccess: (_, l) => {
      toast.success(t('Deleted list {{name}}', { name: l.name }), {
        duration: 15_000,
        action: { label: t('Undo'), onClick: () => save.mutate(l) },
      });
      void changed('lists');
    },
    onError: (e) => toast.error(sentence(e)),
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
      save.mutate({ ...rows[i], position: to });
      save.mutate({ ...rows[to], position: i });
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
            <ul
              className={cx(
                'grid grid-cols-[repeat(auto-fit,minmax(min(380px,100%),1fr))] items-start gap-4 px-4 pt-1',
                'pb-4',
              )}
            >
              {rows.map((l, i) => {
                const members = membersOf(l);
                return (
                  <li className="border-line grid gap-2.5 rounded-md border px-4.5 pt-3.5 pb-4" key={l.id}>
                    <h2 className="flex items-center gap-2">
                      <ListMark name={l.mark} /> {l.name}{' '}
                      <span className="font-ui text-soft text-sm font-normal">
                        {t('{{count}} readers', { count: members.length })}
                        {l.filter && `, ${t('updates itself: {{asked}}', { asked: l.filter.asked || t('all') })}`}
                      </span>
                    </h2>
                    {l.note && <p>{l.note}</p>}
                    <ul className="flex flex-wrap gap-1.5">
                      {members.map((r) => (
                        <li key={r.id}>
                          <Flag>{called(r.id, r.givenName)}</Flag>
                        </li>
                      ))}
                    </ul>
                    <Row>
                      <Button
                        size="sm"
                        disabled={members.length === 0}
                        onClick={() =>
                          tray.pickReaders(
                            members.map((r) => r.id),
                            true,
                          )
                        }
                      >
                        {t('Add to tray')}
                      </Button>
                      {may && (
                        <>
                          <Button size="sm" onClick={() => setEditing(l)}>
                            {t('Change…')}
                          </Button>
                          <Button
                            size="sm"
                            disabled={i === 0}
                            onClick={() => swap(rows, i, i - 1)}
                            aria-label={t('Move {{name}} up', { name: l.name })}
                          >
                            ↑
                          </Button>
                          <Button
                            size="sm"
                            disabled={i === rows.length - 1}
                            onClick={() => swap(rows, i, i + 1)}
                            aria-label={t('Move {{name}} down', { name: l.name })}
                          >
                            ↓
                          </Button>
                          <Button
                            size="sm"
                            onClick={() => drop.mutate(l)}
                            aria-label={t('Delete list {{name}}', { name: l.name })}
                          >
                            {t('Remove')}
                          </Button>
                        </>
                      )}
                    </Row>
                  </li>
                );
              })}
            </ul>
          )
        }
      </Show>
      {editing && (
        <ListDialog
          list={editing}
          readers={data.readers}
          close={() => setEditing(null)}
          save={(l) => {
            save.mutate(l);
            setEditing(null);
          }}
        />
      )}
    </ScrollPage>
  );
}

function ListDialog({
  list,
  readers,
  close,
  save,
}: {
  list: List;
  readers: ReaderRow[];
  close: () => void;
  save: (l: List) => void;
}) {
  const [form, setForm] = useState(list);
  const on = (id: string) => form.readerIds.includes(id);
  const shown = form.filter ? readers.filter((r) => readerMatches(r, sure(form.filter).asked)) : readers;
  return (
    <Dialog title={list.name ? t('Edit {{name}}', { name: list.name }) : t('New list')} close={close}>
      <Form
        onSubmit={(e) => {
          e.preventDefault();
          save(form);
        }}
      >
        <TextField
          label={t('Name')}
          autoFocus
          maxLength={40}
          value={form.name}
          set={(value) => setForm({ ...form, name: value })}
        />
        <FieldSet legend={t('Symbol')} framed>
          <Radios
            label={t('Symbol')}
            value={form.mark}
            set={(mark) => setForm({ ...form, mark })}
            options={marks.map((m) => ({
              value: m,
              label: (
                <span className="inline-flex items-center gap-1.5">
                  <ListMark name={m} />
                  {named(m)}
                </span>
              ),
            }))}
          />
        </FieldSet>
        <TextField
          label={t('Note')}
          maxLength={500}
          value={form.note}
          set={(value) => setForm({ ...form, note: value })}
        />
        {form.filter ? (
          <TextField
            label={t('Include readers matching')}
            hint={t(
              phrase(
                '{{count}} readers now. Use a name, group or signal, such as “nothing read”. The list ' +
                  'updates itself.',
              ),
              { count: shown.length },
            )}
            maxLength={100}
            value={form.filter.asked}
            set={(value) => setForm({ ...form, filter: { asked: value } })}
          />
        ) : (
          <FieldSet
            legend={t('{{count}} readers', { count: form.readerIds.length })}
            framed
            className="max-h-55 grid-cols-2 overflow-auto"
          >
            {shown.map((r) => (
              <Checkbox
                key={r.id}
                checked={on(r.id)}
                set={() =>
                  setForm({
                    ...form,
                    readerIds: on(r.id) ? form.readerIds.filter((x) => x !== r.id) : [...form.readerIds, r.id],
                  })
                }
              >
                {r.givenName} {r.familyName}
              </Checkbox>
            ))}
          </FieldSet>
        )}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={!form.name.trim()}>
            {t('Save list')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
