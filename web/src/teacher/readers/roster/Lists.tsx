import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { Empty, Show } from '../../../shared/Whole';
import { useChanged } from '../../../shared/changed';
import { keys } from '../../../shared/keys';
import { teaches } from '../../../shared/parts';
import { t } from '../../../shared/words';
import { type ReaderRow } from '../../classQueries';
import type { Place } from '../../frame/Frame';
import { Field, Window } from '../../frame/Window';
import { useTray } from '../../tray/useTray';
import { readerMatches } from '../readerMatches';
import { RosterTabs } from '../RosterTabs';
import { ListMark, marks } from './ListMark';
import { sure } from '../../../shared/sure';

type List = Api<'ReaderListView'>;

/** Lists of readers: made by hand or from the tray, or by a filter that keeps itself. A reader may be in several. */
export default function Lists() {
  const { data } = useOutletContext<Place>();
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
      toast.success(t('Took the list {{name}} away', { name: l.name }), {
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
    <section className="formpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Readers')}</h1>
        <RosterTabs classId={data.id} />
        <span className="grow" />
        {may && (
          <>
            <button className="btn" onClick={() => setEditing({ ...fresh([]), filter: { asked: '' } })}>
              {t('New list by a filter')}
            </button>
            <button className="btn main" onClick={() => setEditing(fresh(tray.readers))}>
              {tray.readers.length > 0
                ? t('New list of the {{count}} picked up', { count: tray.readers.length })
                : t('New list')}
            </button>
          </>
        )}
      </div>
      <Show query={lists}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No lists yet')}>
              <p>
                {t(
                  'A list holds readers you want together for a while: a book club, early sign-ins, who needs a letter. It changes nothing for the readers.',
                )}
              </p>
            </Empty>
          ) : (
            <ul className="cards">
              {rows.map((l, i) => {
                const members = membersOf(l);
                return (
                  <li className="card" key={l.id}>
                    <h2>
                      <ListMark name={l.mark} /> {l.name}{' '}
                      <span className="small soft">
                        {t('{{count}} readers', { count: members.length })}
                        {l.filter && `, ${t('keeps itself: {{asked}}', { asked: l.filter.asked || t('everybody') })}`}
                      </span>
                    </h2>
                    {l.note && <p>{l.note}</p>}
                    <ul className="chosen">
                      {members.map((r) => (
                        <li key={r.id}>
                          <span className="reader">{r.givenName}</span>
                        </li>
                      ))}
                    </ul>
                    <p className="row">
                      <button
                        className="btn small"
                        disabled={members.length === 0}
                        onClick={() =>
                          tray.pickReaders(
                            members.map((r) => r.id),
                            true,
                          )
                        }
                      >
                        {t('Pick up')}
                      </button>
                      {may && (
                        <>
                          <button className="btn small" onClick={() => setEditing(l)}>
                            {t('Change…')}
                          </button>
                          <button
                            className="btn small"
                            disabled={i === 0}
                            onClick={() => swap(rows, i, i - 1)}
                            aria-label={t('Move {{name}} up', { name: l.name })}
                          >
                            ↑
                          </button>
                          <button
                            className="btn small"
                            disabled={i === rows.length - 1}
                            onClick={() => swap(rows, i, i + 1)}
                            aria-label={t('Move {{name}} down', { name: l.name })}
                          >
                            ↓
                          </button>
                          <button
                            className="btn small"
                            onClick={() => drop.mutate(l)}
                            aria-label={t('Take the list {{name}} away', { name: l.name })}
                          >
                            {t('Take away')}
                          </button>
                        </>
                      )}
                    </p>
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
    </section>
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
    <Window title={list.name ? t('Change {{name}}', { name: list.name }) : t('New list')} close={close}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save(form);
        }}
      >
        <Field id="l-name" label={t('Name')}>
          <input
            id="l-name"
            type="text"
            autoFocus
            maxLength={40}
            value={form.name}
            onChange={(e) => setForm({ ...form, name: e.target.value })}
          />
        </Field>
        <fieldset className="marks">
          <legend>{t('Mark')}</legend>
          {marks.map((m) => (
            <label key={m}>
              <input
                type="radio"
                name="mark"
                checked={form.mark === m}
                onChange={() => setForm({ ...form, mark: m })}
              />
              <ListMark name={m} />
              {t(m)}
            </label>
          ))}
        </fieldset>
        <Field id="l-note" label={t('Note')}>
          <input
            id="l-note"
            type="text"
            maxLength={500}
            value={form.note}
            onChange={(e) => setForm({ ...form, note: e.target.value })}
          />
        </Field>
        {form.filter ? (
          <Field
            id="l-filter"
            label={t('Readers whose row has')}
            hint={t(
              '{{count}} readers now. A name, a group or a signal, such as “nothing read”; the list follows by itself.',
              { count: shown.length },
            )}
          >
            <input
              id="l-filter"
              type="text"
              maxLength={100}
              value={form.filter.asked}
              onChange={(e) => setForm({ ...form, filter: { asked: e.target.value } })}
            />
          </Field>
        ) : (
          <fieldset className="ticklist">
            <legend>{t('{{count}} readers', { count: form.readerIds.length })}</legend>
            {shown.map((r) => (
              <label key={r.id}>
                <input
                  type="checkbox"
                  checked={on(r.id)}
                  onChange={() =>
                    setForm({
                      ...form,
                      readerIds: on(r.id) ? form.readerIds.filter((x) => x !== r.id) : [...form.readerIds, r.id],
                    })
                  }
                />
                {r.givenName} {r.familyName}
              </label>
            ))}
          </fieldset>
        )}
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main" disabled={!form.name.trim()}>
            {t('Save the list')}
          </button>
        </p>
      </form>
    </Window>
  );
}
