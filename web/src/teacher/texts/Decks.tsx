import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, Problem, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { Field, Window } from '../frame/Window';
import { WordRows, type WordRow } from './WordRows';
import './texts.css';
import { sure } from '../../shared/sure';

type Deck = Api<'DeckView'>;
type Draft = { id: string; revision: number; name: string; mine: boolean; words: WordRow[] };

const fresh = (): Draft => ({ id: crypto.randomUUID(), revision: 0, name: '', mine: true, words: [] });
const save = (d: Draft) =>
  ok(
    api.PUT('/decks/{deckId}', {
      params: { path: { deckId: d.id } },
      body: { revision: d.revision, name: d.name, mine: d.mine, words: d.words },
    }),
  );

/** Word decks of one's own, and the school's. */
export default function Decks() {
  const { data } = useOutletContext<Place>();
  const client = useQueryClient();
  const decks = useQuery({ queryKey: keys.decks, queryFn: () => ok(api.GET('/decks')) });
  const [open, setOpen] = useState<Draft | null>(null);
  const again = () => client.invalidateQueries({ queryKey: keys.decks });
  const drop = useMutation({
    mutationFn: (d: Deck) => ok(api.DELETE('/decks/{deckId}', { params: { path: { deckId: d.id } } })).then(() => d),
    onSuccess: async (d) => {
      await again();
      toast(t('“{{name}}” is gone', { name: d.name }), {
        action: {
          label: t('Undo'),
          onClick: () => void save({ ...d, revision: 0 }).then(again, (e: unknown) => toast.error(sentence(e))),
        },
      });
    },
    onError: (e) => toast.error(sentence(e)),
  });
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Word decks')}</h1>
        <span className="grow" />
        <Link className="btn" to={`/class/${data.id}/texts`}>
          {t('Texts')}
        </Link>
        <button className="btn main" onClick={() => setOpen(fresh())}>
          {t('New deck')}
        </button>
      </div>
      <Show query={decks}>
        {(all) =>
          all.length === 0 ? (
            <Empty title={t('No deck yet')}>
              <p>
                {t(
                  'Each text has its words to know. A deck of your own gathers words from several texts, or from a lesson, with meanings your readers understand.',
                )}
              </p>
              <button className="btn main" onClick={() => setOpen(fresh())}>
                {t('New deck')}
              </button>
            </Empty>
          ) : (
            <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
              <table>
                <thead>
                  <tr>
                    <th>{t('Deck')}</th>
                    <th>{t('Words')}</th>
                    <th>{t('Practised in')}</th>
                    <th>{t('Whose')}</th>
                    <th>{t('Changed')}</th>
                    <th>
                      <span className="hide">{t('Remove')}</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {all.map((d) => (
                    <tr key={d.id}>
                      <th scope="row">
                        {d.mayChange ? (
                          <button className="btn plain small" onClick={() => setOpen({ ...d, words: [...d.words] })}>
                            {d.name}
                          </button>
                        ) : (
                          d.name
                        )}
                      </th>
                      <td>{d.words.map((w) => w.text).join(', ')}</td>
                      <td>
                        {d.rounds.length === 1
                          ? t('one round of {{n}}', { n: sure(d.rounds[0]) })
                          : t('rounds of {{sizes}}', { sizes: d.rounds.join(', ') })}
                      </td>
                      <td>{d.mine ? t('mine') : d.own ? t('mine, shared') : (d.owner ?? t('the school'))}</td>
                      <td>{dayOf(d.changedAt)}</td>
                      <td>
                        {d.mayChange && (
                          <button
                            className="btn small"
                            aria-label={t('Remove {{name}}', { name: d.name })}
                            onClick={() => drop.mutate(d)}
                          >
                            {t('Remove')}
                          </button>
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
    </section>
  );
}

function Editor({ draft, close, kept }: { draft: Draft; close: () => void; kept: () => void }) {
  const [deck, setDeck] = useState(draft);
  const keep = useMutation({ mutationFn: () => save(deck), onSuccess: kept });
  const at =
    keep.error instanceof Problem ? Object.keys(keep.error.fields).find((k) => k.startsWith('words')) : undefined;
  const add = (words: WordRow[]) =>
    setDeck((d) => ({
      ...d,
      words: [...d.words, ...words.filter((w) => !d.words.some((o) => o.text.toLowerCase() === w.text.toLowerCase()))],
    }));
  return (
    <Window title={draft.revision === 0 ? t('New deck') : t('Change the deck')} close={close} wide>
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate();
        }}
      >
        <div className="fields">
          <Field id="d-name" label={t('Name')} error={fieldOf(keep.error, 'name')}>
            <input
              id="d-name"
              type="text"
              autoFocus
              value={deck.name}
              onChange={(e) => setDeck({ ...deck, name: e.target.value })}
            />
          </Field>
          <label className="tickline">
            <input
              type="checkbox"
              checked={!deck.mine}
              onChange={(e) => setDeck({ ...deck, mine: !e.target.checked })}
            />
            {t('Share with the school')}
          </label>
        </div>
        <FromText add={add} />
        <WordRows
          words={deck.words}
          set={(words) => setDeck({ ...deck, words })}
          error={at && fieldOf(keep.error, at)}
        />
        {keep.error && !at && !fieldOf(keep.error, 'name') && (
          <p className="error" role="alert">
            {sentence(keep.error)}
          </p>
        )}
        <p className="row end">
          <span className="hint">
            {t('{{count}} words, practised at most ten at a time', { count: deck.words.length })}
          </span>
          <span className="grow" />
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main" disabled={keep.isPending}>
            {t('Keep the deck')}
          </button>
        </p>
      </form>
    </Window>
  );
}

/** Takes over the words of a text in the library. */
function FromText({ add }: { add: (words: WordRow[]) => void }) {
  const [typed, setTyped] = useState('');
  const found = useQuery({
    queryKey: keys.library.forDecks(typed),
    enabled: typed.trim().length > 1,
    queryFn: () => ok(api.GET('/library', { params: { query: { deck: true, q: typed } } })),
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
    <div className="field">
      <label htmlFor="d-text">{t('Add the words of a text')}</label>
      <input
        id="d-text"
        type="search"
        placeholder={t('Find a text')}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
      />
      {typed.trim().length > 1 && found.data && (
        <p className="row">
          {found.data.rows.length === 0
            ? t('No text matches')
            : found.data.rows.slice(0, 5).map((r) => (
                <button key={r.id} type="button" className="btn small" onClick={() => take(r.id)}>
                  {t('{{title}}: {{count}} words', { title: r.title, count: r.deck })}
                </button>
              ))}
        </p>
      )}
    </div>
  );
}
