import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, Problem, sentence } from '../../shared/api';
import { useAllChanged } from '../../shared/changed';
import { dayOf, today } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { Window } from '../frame/Window';
import { sure } from '../../shared/sure';

type Head = Api<'YearHead'>;
type Form = {
  name: string;
  firstDay: string;
  lastDay: string;
  terms: { id: string | null; name: string; firstDay: string; lastDay: string }[];
  daysOff: string[];
};

const plus = (iso: string, days: number) => {
  const d = new Date(`${iso}T12:00:00Z`);
  d.setUTCDate(d.getUTCDate() + days);
  return d.toISOString().slice(0, 10);
};
const yearOn = (iso: string) => `${Number(iso.slice(0, 4)) + 1}${iso.slice(4)}`;

/** School years with their terms and days off, and the step from one to the next. */
export default function Years() {
  const years = useQuery({ queryKey: keys.school.years, queryFn: () => ok(api.GET('/school/years')) });
  const [chosen, setChosen] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const [rolling, setRolling] = useState<Head | null>(null);
  return (
    <Show query={years}>
      {(all) => {
        const id = chosen ?? all[0]?.id ?? '';
        const head = all.find((y) => y.id === id);
        const next = head && all.find((y) => y.firstDay > head.lastDay);
        return (
          <section className="formpage" aria-labelledby="title">
            <div className="head">
              <h1 id="title">{t('School years')}</h1>
              <span className="switch">
                {[...all].reverse().map((y) => (
                  <button
                    key={y.id}
                    aria-pressed={!adding && y.id === id}
                    onClick={() => {
                      setChosen(y.id);
                      setAdding(false);
                    }}
                  >
                    {y.name}
                  </button>
                ))}
              </span>
              <button className="btn" onClick={() => setAdding(true)}>
                {t('Add the next year')}
              </button>
              <span className="grow" />
              {head && !adding && head.openClasses > 0 && (
                <button className="btn main" disabled={!next} onClick={() => setRolling(head)}>
                  {next ? t('Roll over to {{year}}…', { year: next.name }) : t('Add a year to roll over to')}
                </button>
              )}
            </div>
            {adding ? (
              <NewYear
                last={all[0]}
                done={(made) => {
                  setAdding(false);
                  setChosen(made);
                }}
              />
            ) : (
              id && <Existing key={id} yearId={id} />
            )}
            {rolling && next && <Roll from={rolling} to={next} close={() => setRolling(null)} />}
          </section>
        );
      }}
    </Show>
  );
}

function NewYear({ last, done }: { last: Head | undefined; done: (id: string) => void }) {
  const lastId = last?.id;
  const before = useQuery({
    queryKey: keys.school.year(lastId),
    enabled: !!lastId,
    queryFn: () => ok(api.GET('/school/years/{yearId}', { params: { path: { yearId: sure(lastId) } } })),
  });
  const once = useOnce();
  if (last && !before.data) return null;
  const b = before.data;
  const form: Form = b
    ? {
        name: b.name.replace(/\d{4}/g, (y) => String(Number(y) + 1)),
        firstDay: yearOn(b.firstDay),
        lastDay: yearOn(b.lastDay),
        terms: b.terms.map((x) => ({
          id: null,
          name: x.name,
          firstDay: yearOn(x.firstDay),
          lastDay: yearOn(x.lastDay),
        })),
        daysOff: [],
      }
    : {
        name: '',
        firstDay: today(),
        lastDay: plus(today(), 300),
        terms: [{ id: null, name: t('Term 1'), firstDay: today(), lastDay: plus(today(), 300) }],
        daysOff: [],
      };
  return (
    <YearForm
      start={form}
      save={async (f) => {
        const made = await ok(api.POST('/school/years', { body: { ...f, id: once.idOf(f) } }));
        once.done();
        done(made.id);
      }}
      button={t('Add this year')}
    />
  );
}

function Existing({ yearId }: { yearId: string }) {
  const year = useQuery({
    queryKey: keys.school.year(yearId),
    queryFn: () => ok(api.GET('/school/years/{yearId}', { params: { path: { yearId } } })),
  });
  return (
    <Show query={year}>
      {(y) => (
        <YearForm
          start={{
            name: y.name,
            firstDay: y.firstDay,
            lastDay: y.lastDay,
            terms: y.terms.map((x) => ({ id: x.id, name: x.name, firstDay: x.firstDay, lastDay: x.lastDay })),
            daysOff: y.daysOff,
          }}
          days={y.schoolDays}
          save={async (f) => {
            await ok(api.PUT('/school/years/{yearId}', { params: { path: { yearId } }, body: f }));
          }}
          button={t('Save the year')}
        />
      )}
    </Show>
  );
}

function YearForm({
  start,
  days,
  save,
  button,
}: {
  start: Form;
  days?: number;
  save: (f: Form) => Promise<void>;
  button: string;
}) {
  const [form, setForm] = useState(start);
  const [off, setOff] = useState({ from: '', to: '' });
  const [error, setError] = useState<unknown>();
  const changed = useAllChanged();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await save(form);
      setError(undefined);
      toast.success(t('Saved'));
      await changed();
    } catch (problem) {
      setError(problem);
    }
  };
  const term = (i: number, change: Partial<Form['terms'][number]>) =>
    setForm({ ...form, terms: form.terms.map((x, n) => (n === i ? { ...x, ...change } : x)) });
  const addOff = () => {
    const list = [...form.daysOff];
    for (let d = off.from, n = 0; d <= (off.to || off.from) && n < 120; d = plus(d, 1), n++)
      if (!list.includes(d)) list.push(d);
    setForm({ ...form, daysOff: list.sort() });
    setOff({ from: '', to: '' });
  };
  return (
    <form className="cards" onSubmit={(e) => void submit(e)} noValidate>
      <section className="card" aria-labelledby="y">
        <h2 id="y">
          {t('Year')}
          {days !== undefined && <span className="small soft"> {t('{{n}} school days', { n: days })}</span>}
        </h2>
        <div className="fields">
          <label>
            {t('Name')}
            <input type="text" value={form.name} onChange={(e) => setForm({ ...form, name: e.target.value })} />
          </label>
          <label>
            {t('First day')}
            <input type="date" value={form.firstDay} onChange={(e) => setForm({ ...form, firstDay: e.target.value })} />
          </label>
          <label>
            {t('Last day')}
            <input type="date" value={form.lastDay} onChange={(e) => setForm({ ...form, lastDay: e.target.value })} />
          </label>
        </div>
      </section>
      <section className="card wide" aria-labelledby="t">
        <h2 id="t">{t('Terms')}</h2>
        {form.terms.map((x, i) => (
          <div className="fields termrow" key={i}>
            <label>
              {t('Name')}
              <input type="text" value={x.name} onChange={(e) => term(i, { name: e.target.value })} />
            </label>
            <label>
              {t('First day')}
              <input type="date" value={x.firstDay} onChange={(e) => term(i, { firstDay: e.target.value })} />
            </label>
            <label>
              {t('Last day')}
              <input type="date" value={x.lastDay} onChange={(e) => term(i, { lastDay: e.target.value })} />
            </label>
            <button
              type="button"
              className="btn small"
              onClick={() => setForm({ ...form, terms: form.terms.filter((_, n) => n !== i) })}
              aria-label={t('Take {{name}} away', { name: x.name })}
            >
              {t('Take away')}
            </button>
          </div>
        ))}
        <p>
          <button
            type="button"
            className="btn small"
            onClick={() => {
              const at = form.terms.at(-1)?.lastDay;
              const first = at ? plus(at, 1) : form.firstDay;
              setForm({
                ...form,
                terms: [
                  ...form.terms,
                  {
                    id: null,
                    name: t('Term {{n}}', { n: form.terms.length + 1 }),
                    firstDay: first,
                    lastDay: form.lastDay,
                  },
                ],
              });
            }}
          >
            {t('Add a term')}
          </button>
        </p>
      </section>
      <section className="card" aria-labelledby="o">
        <h2 id="o">
          {t('Days off')} <span className="small soft">{t('weekends are off anyway')}</span>
        </h2>
        <div className="row">
          <label>
            {t('From')}{' '}
            <input type="date" value={off.from} onChange={(e) => setOff({ ...off, from: e.target.value })} />
          </label>
          <label>
            {t('to')} <input type="date" value={off.to} onChange={(e) => setOff({ ...off, to: e.target.value })} />
          </label>
          <button type="button" className="btn" disabled={!off.from} onClick={addOff}>
            {t('Add')}
          </button>
        </div>
        <ul className="chosen">
          {form.daysOff.map((d) => (
            <li key={d}>
              <button
                type="button"
                className="btn small"
                onClick={() => setForm({ ...form, daysOff: form.daysOff.filter((x) => x !== d) })}
                aria-label={t('{{day}} is a school day after all', { day: dayOf(d) })}
              >
                {dayOf(d)} ×
              </button>
            </li>
          ))}
        </ul>
      </section>
      {error ? (
        <p className="error" role="alert">
          {error instanceof Problem ? Object.values(error.fields).flat().join(' ') || error.message : sentence(error)}
        </p>
      ) : null}
      <p className="row end">
        <button className="btn main">{button}</button>
      </p>
    </form>
  );
}

/** What rolling over would do, then doing it. */
function Roll({ from, to, close }: { from: Head; to: Head; close: () => void }) {
  const [keepClasses, setKeep] = useState(true);
  const preview = useQuery({
    queryKey: keys.school.roll(from.id, to.id, keepClasses),
    queryFn: () =>
      ok(
        api.POST('/school/years/{yearId}/roll-over/preview', {
          params: { path: { yearId: from.id } },
          body: { toYearId: to.id, keepClasses },
        }),
      ),
  });
  const changed = useAllChanged();
  const said = useSaid();
  const go = async () => {
    try {
      const done = await ok(
        api.POST('/school/years/{yearId}/roll-over', {
          params: { path: { yearId: from.id } },
          body: {
            toYearId: to.id,
            keepClasses,
          },
        }),
      );
      said(done.sentence, done.changeId);
      await changed();
      close();
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  return (
    <Window title={t('Roll {{from}} over to {{to}}', { from: from.name, to: to.name })} close={close}>
      <label className="tickline">
        <input type="checkbox" checked={keepClasses} onChange={(e) => setKeep(e.target.checked)} />
        {t('Classes go up together, with their teachers')}
      </label>
      <Show query={preview}>
        {(p) => (
          <>
            <p>
              <b>{t('{{n}} readers go up a grade', { n: p.up })}</b>
              {p.leaving > 0 && <>, {t('{{n}} of the highest grade leave', { n: p.leaving })}</>}.{' '}
              {t('Everything they did stays with them.')}
            </p>
            <ul className="lines">
              {p.classes.map((c, i) => (
                <li key={i}>
                  <b>{c.from}</b> {t('closes')}
                  {c.to && (
                    <>
                      , <b>{c.to}</b> {t('begins')}
                    </>
                  )}{' '}
                  <span className="soft">{t('{{count}} readers', { count: c.readers })}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </Show>
      <p className="hint">{t('It can be undone until somebody builds on it.')}</p>
      <p className="row end">
        <button className="btn" onClick={close}>
          {t('Cancel')}
        </button>
        <button className="btn main" disabled={!preview.data} onClick={() => void go()}>
          {t('Roll over')}
        </button>
      </p>
    </Window>
  );
}
