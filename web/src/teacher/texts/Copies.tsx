import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type FormEvent } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { Field, Window } from '../frame/Window';
import './texts.css';
import { sure } from '../../shared/sure';

type Copy = Api<'CopyView'>;

/** Copies on paper: one field lends and takes back, typed or scanned; below it, what is out and late. */
export default function Copies() {
  const { data } = useOutletContext<Place>();
  const client = useQueryClient();
  const all = useQuery({ queryKey: keys.copies, queryFn: () => ok(api.GET('/copies')) });
  const [typed, setTyped] = useState('');
  const [reader, setReader] = useState<{ id: string; name: string } | null>(null);
  const [days, setDays] = useState(14);
  const [said, setSaid] = useState('');
  const [error, setError] = useState('');
  const [adding, setAdding] = useState(false);
  const [find, setFind] = useState('');
  const field = useRef<HTMLInputElement>(null);

  const enter = async (e: FormEvent) => {
    e.preventDefault();
    setError('');
    try {
      const answer = await ok(api.POST('/copies/desk', { body: { typed, readerId: reader?.id ?? null, days } }));
      if (answer.what === 'Reader') {
        setReader({ id: sure(answer.readerId), name: answer.reader ?? '' });
        setSaid(t('{{name}} takes the next copy.', { name: answer.reader ?? '' }));
      } else {
        setReader(null);
        setSaid(
          answer.what === 'Lent'
            ? t('{{name}} has “{{title}}” until {{day}}.', {
                name: answer.reader ?? '',
                title: sure(answer.copy).title,
                day: dayOf(sure(sure(answer.copy).dueOn)),
              })
            : t('“{{title}}” is back.', { title: sure(answer.copy).title }),
        );
        await client.invalidateQueries({ queryKey: keys.copies });
      }
      setTyped('');
    } catch (problem) {
      setError(sentence(problem));
    }
    field.current?.select();
  };
  const gone = (c: Copy) =>
    void ok(api.DELETE('/copies/{copyId}', { params: { path: { copyId: c.id } } })).then(
      () => {
        toast(t('“{{code}}” is off the list', { code: c.code }));
        void client.invalidateQueries({ queryKey: keys.copies });
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Copies on paper')}</h1>
        <form className="desk" onSubmit={(e) => void enter(e)} noValidate>
          <label>
            {reader ? t('Copy for {{name}}', { name: reader.name }) : t('User name or copy')}{' '}
            <input
              ref={field}
              autoFocus
              type="text"
              value={typed}
              autoComplete="off"
              onChange={(e) => setTyped(e.target.value)}
            />
          </label>
          <label>
            {t('for')}{' '}
            <input
              type="number"
              className="days"
              min={1}
              max={200}
              value={days}
              onChange={(e) => setDays(Number(e.target.value))}
            />{' '}
            {t('days')}
          </label>
          <button className="btn main">{t('Enter')}</button>
          {reader && (
            <button
              type="button"
              className="btn"
              onClick={() => {
                setReader(null);
                setSaid('');
              }}
            >
              {t('Somebody else')}
            </button>
          )}
          <p role="status">{error ? '' : said}</p>
          {error && (
            <p className="error" role="alert">
              {error}
            </p>
          )}
        </form>
        <span className="grow" />
        <button className="btn" onClick={() => setAdding(true)}>
          {t('Add copies')}
        </button>
      </div>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No copies on the list')}>
              <p>
                {t(
                  'Give each copy on paper a code, or use the one printed on it. Then a user name and a code lend it, and the code alone takes it back.',
                )}
              </p>
              <button className="btn main" onClick={() => setAdding(true)}>
                {t('Add copies')}
              </button>
            </Empty>
          ) : (
            <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
              <table>
                <thead>
                  <tr>
                    <th>
                      <label className="find">
                        {t('Copy')}{' '}
                        <input
                          type="search"
                          aria-label={t('Find a copy')}
                          value={find}
                          onChange={(e) => setFind(e.target.value)}
                        />
                      </label>
                    </th>
                    <th>{t('Text')}</th>
                    <th>{t('With')}</th>
                    <th>{t('Since')}</th>
                    <th>{t('Back by')}</th>
                    <th>
                      <span className="hide">{t('Take off the list')}</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows
                    .filter((c) => `${c.code} ${c.title} ${c.reader ?? ''}`.toLowerCase().includes(find.toLowerCase()))
                    .map((c) => (
                      <tr key={c.id}>
                        <th scope="row">{c.code}</th>
                        <td>
                          {c.textId ? <Link to={`/class/${data.id}/texts/${c.textId}`}>{c.title}</Link> : c.title}
                        </td>
                        <td>{c.reader ?? (c.readerId ? t('a reader of another class') : t('here'))}</td>
                        <td>{c.lentAt ? dayOf(c.lentAt) : ''}</td>
                        <td>
                          {c.dueOn && (
                            <>
                              {dayOf(c.dueOn)}
                              {c.late && <b className="late"> {t('late')}</b>}
                            </>
                          )}
                        </td>
                        <td>
                          <button
                            className="btn small"
                            onClick={() => gone(c)}
                            aria-label={t('Take {{code}} off the list', { code: c.code })}
                          >
                            {t('Take off')}
                          </button>
                        </td>
                      </tr>
                    ))}
                </tbody>
              </table>
            </div>
          )
        }
      </Show>
      <p className="foot">
        {t('{{out}} of {{count}} copies are out, {{late}} late.', {
          count: all.data?.length ?? 0,
          out: all.data?.filter((c) => c.readerId).length ?? 0,
          late: all.data?.filter((c) => c.late).length ?? 0,
        })}
      </p>
      {adding && (
        <AddCopies
          close={() => {
            setAdding(false);
            void client.invalidateQueries({ queryKey: keys.copies });
          }}
        />
      )}
    </section>
  );
}

function AddCopies({ close }: { close: () => void }) {
  const [title, setTitle] = useState('');
  const [codes, setCodes] = useState('');
  const [error, setError] = useState<unknown>();
  const found = useQuery({
    queryKey: keys.library.forCopies(title),
    enabled: title.trim().length > 2,
    queryFn: () => ok(api.GET('/library', { params: { query: { q: title } } })),
  });
  const text = found.data?.rows.find((r) => r.title.toLowerCase() === title.trim().toLowerCase());
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const made = await ok(
        api.POST('/copies', {
          body: {
            textId: text?.id ?? null,
            title,
            codes: codes
              .split(/[\n,;]+/)
              .map((c) => c.trim())
              .filter(Boolean),
          },
        }),
      );
      toast.success(t('{{count}} copies added', { count: made.made }), {
        description: made.taken.length ? t('Taken already: {{codes}}', { codes: made.taken.join(', ') }) : undefined,
      });
      close();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Window title={t('Add copies')} close={close}>
      <form onSubmit={(e) => void save(e)} noValidate>
        <Field
          id="c-title"
          label={t('Title')}
          hint={text ? t('It is in the library; its copies lead there.') : t('A title of the library, or any other.')}
          error={fieldOf(error, 'title')}
        >
          <input id="c-title" type="text" list="c-titles" value={title} onChange={(e) => setTitle(e.target.value)} />
        </Field>
        <datalist id="c-titles">
          {found.data?.rows.slice(0, 12).map((r) => (
            <option key={r.id} value={r.title} />
          ))}
        </datalist>
        <Field id="c-codes" label={t('Codes, one a line')} error={fieldOf(error, 'codes')}>
          <textarea id="c-codes" rows={6} value={codes} onChange={(e) => setCodes(e.target.value)} />
        </Field>
        {error && !fieldOf(error, 'title') && !fieldOf(error, 'codes') ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main">{t('Add them')}</button>
        </p>
      </form>
    </Window>
  );
}
