import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, sentence, sentences } from '../../shared/api';
import { useAllChanged } from '../../shared/changed';
import { dayOf, today } from '../../shared/format';
import { keys } from '../../shared/keys';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Card, PageHead, Row, ScrollPage } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Show } from '../../ui/Show';
import { DateField } from '../../ui/DateField';
import { TextField } from '../../ui/TextField';

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
          <ScrollPage>
            <PageHead
              title={t('School years')}
              beside={
                <>
                  <Segments
                    label={t('Year')}
                    value={adding ? undefined : id}
                    set={(year) => {
                      setChosen(year);
                      setAdding(false);
                    }}
                    options={[...all].reverse().map((y) => ({ value: y.id, label: y.name }))}
                  />
                  <Button onClick={() => setAdding(true)}>{t('Add next year')}</Button>
                </>
              }
            >
              {head && !adding && head.openClasses > 0 && (
                <Button look="main" disabled={!next} onClick={() => setRolling(head)}>
                  {next ? t('Roll over to {{year}}…', { year: next.name }) : t('Add a year first')}
                </Button>
              )}
            </PageHead>
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
          </ScrollPage>
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
      button={t('Add year')}
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
          button={t('Save year')}
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
    <form
      className={cx(
        'grid min-h-0 grid-cols-[repeat(auto-fit,minmax(min(380px,100%),1fr))] content-start',
        'items-start gap-4 overflow-auto px-4 pt-1 pb-4',
      )}
      onSubmit={(e) => void submit(e)}
      noValidate
    >
      <Card aria-labelledby="y">
        <h2 id="y">
          {t('Year')}
          {days !== undefined && (
            <span className="font-ui text-soft text-sm font-normal">
              {' '}
              {t('{{count}} school days', { count: days })}
            </span>
          )}
        </h2>
        <FieldRow>
          <TextField label={t('Name')} inline value={form.name} set={(value) => setForm({ ...form, name: value })} />
          <DateField
            label={t('First day')}
            inline
            value={form.firstDay}
            set={(value) => setForm({ ...form, firstDay: value })}
          />
          <DateField
            label={t('Last day')}
            inline
            value={form.lastDay}
            set={(value) => setForm({ ...form, lastDay: value })}
          />
        </FieldRow>
      </Card>
      <Card wide aria-labelledby="t">
        <h2 id="t">{t('Terms')}</h2>
        {form.terms.map((x, i) => (
          <div className="grid grid-cols-[1.4fr_1fr_1fr_auto] items-end gap-3" key={i}>
            <TextField label={t('Name')} inline value={x.name} set={(value) => term(i, { name: value })} />
            <DateField label={t('First day')} inline value={x.firstDay} set={(value) => term(i, { firstDay: value })} />
            <DateField label={t('Last day')} inline value={x.lastDay} set={(value) => term(i, { lastDay: value })} />
            <Button
              size="sm"
              onClick={() => setForm({ ...form, terms: form.terms.filter((_, n) => n !== i) })}
              aria-label={t('Remove {{name}}', { name: x.name })}
            >
              {t('Remove')}
            </Button>
          </div>
        ))}
        <p>
          <Button
            size="sm"
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
            {t('Add term')}
          </Button>
        </p>
      </Card>
      <Card aria-labelledby="o">
        <h2 id="o">
          {t('Days off')} <span className="font-ui text-soft text-sm font-normal">{t('weekends are always off')}</span>
        </h2>
        <div className="flex flex-wrap items-center gap-2">
          <DateField label={t('From')} inline value={off.from} set={(value) => setOff({ ...off, from: value })} />
          <DateField label={t('to')} inline value={off.to} set={(value) => setOff({ ...off, to: value })} />
          <Button disabled={!off.from} onClick={addOff}>
            {t('Add')}
          </Button>
        </div>
        <ul className="flex flex-wrap gap-1.5">
          {form.daysOff.map((d) => (
            <li key={d}>
              <Button
                size="sm"
                onClick={() => setForm({ ...form, daysOff: form.daysOff.filter((x) => x !== d) })}
                aria-label={t('Remove {{day}} from days off', { day: dayOf(d) })}
              >
                {dayOf(d)} ×
              </Button>
            </li>
          ))}
        </ul>
      </Card>
      {error ? <ErrorText>{sentences(error)}</ErrorText> : null}
      <Row end>
        <Button look="main" type="submit">
          {button}
        </Button>
      </Row>
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
    <Dialog title={t('Roll {{from}} over to {{to}}', { from: from.name, to: to.name })} close={close}>
      <Checkbox checked={keepClasses} set={setKeep}>
        {t('Classes move up together, with their teachers')}
      </Checkbox>
      <Show query={preview}>
        {(p) => (
          <>
            <p>
              <b>{t('{{count}} readers move up a grade', { count: p.up })}</b>
              {p.leaving > 0 && <>, {t('{{count}} readers in the highest grade leave', { count: p.leaving })}</>}.{' '}
              {t('Their work stays with them.')}
            </p>
            <ul className="[&>li]:border-line max-h-100 overflow-auto px-4 [&>li]:border-t [&>li]:py-0.75">
              {p.classes.map((c, i) => (
                <li key={i}>
                  <b>{c.from}</b> {t('is archived')}
                  {c.to && (
                    <>
                      , <b>{c.to}</b> {t('starts')}
                    </>
                  )}{' '}
                  <span className="text-soft">{t('{{count}} readers', { count: c.readers })}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </Show>
      <p className="text-soft text-sm">{t('You can undo this until someone changes it again.')}</p>
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" disabled={!preview.data} onClick={() => void go()}>
          {t('Roll over')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
