import { cx } from 'class-variance-authority';
import { useState, type FormEvent } from 'react';
import { useNavigate, useOutletContext, useParams, useSearchParams } from 'react-router';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm, halfRange } from '../../shared/format';
import { useSession } from '../../shared/session';
import { phrase, t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useOptionalTray } from '../tray/useTray';
import { seasonWords, seasons, useCheck, useChoices, type Check, type Choices } from './checkQueries';
import { PartPicker } from './PartPicker';
import { aboutDepth, emptyPlan, noAims, totalMinutes, type Form, type Plan } from './plan';
import { countOf, WhoTakesIt } from './WhoTakesIt';
import { Button } from '../../ui/Button';
import { Checkbox, Radios } from '../../ui/Checkbox';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Card, Cards, PageHead, Row } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { DateField, NumberField, TextField } from '../../ui/TextField';

/** A level check before it is given, or its titles and days afterwards; within a class, or by a lead for the whole school. */
export default function CheckEditor() {
  const data = useOutletContext<Place | undefined>()?.data;
  const { checkId } = useParams();
  const choices = useChoices();
  const check = useCheck(checkId);
  const ready = choices.data && (!checkId || check.data) ? { choices: choices.data, check: check.data } : undefined;
  return (
    <Show
      query={{
        data: ready,
        error: choices.error ?? check.error,
        refetch: () => {
          void choices.refetch();
          void check.refetch();
        },
      }}
    >
      {(r) => <Editor key={r.check?.revision ?? 0} data={data} choices={r.choices} check={r.check} />}
    </Show>
  );
}

/** Where checks are listed: in a class, or in the school's windows. */
const checksOf = (data: ClassData | undefined) =>
  data ? `/class/${data.id}/assignments/checks` : '/school/windows/checks';

const formOf = (k: Check): Form => ({
  revision: k.revision,
  staffTitle: k.staffTitle,
  readerTitle: k.readerTitle,
  directions: k.directions,
  season: k.season,
  plan: k.plan,
  for: k.for,
  opensOn: k.opensOn,
  closesOn: k.closesOn,
  colleagues: k.colleagues.map((c) => c.id),
});

function Editor({ data, choices, check }: { data: ClassData | undefined; choices: Choices; check: Check | undefined }) {
  const [search] = useSearchParams();
  const tray = useOptionalTray();
  const picked = search.get('readers') === 'picked' ? (tray?.readers ?? []) : [];
  const [id] = useState(() => check?.id ?? crypto.randomUUID());
  const [form, setForm] = useState<Form>(() =>
    check
      ? formOf(check)
      : {
          revision: 0,
          staffTitle: '',
          readerTitle: t('Reading check'),
          directions: '',
          season: null,
          plan: emptyPlan(choices),
          for: picked.length > 0 ? { ...noAims, readerIds: picked } : { ...noAims, classIds: data ? [data.id] : [] },
          opensOn: null,
          closesOn: null,
          colleagues: [],
        },
  );
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const classes = useSession().data?.classes ?? [];
  const navigate = useNavigate();
  const changed = useChanged();
  const said = useSaid();
  const put_ = (to: Partial<Form>) => setForm((f) => ({ ...f, ...to }));
  const locked = check?.begun ?? false;
  const readers = countOf(data, form.for, classes);
  const depth = aboutDepth(
    form.plan,
    (data?.readers ?? []).map((r) => r.depth),
  );
  const save = async (draft: boolean) => {
    setBusy(true);
    setError(undefined);
    try {
      const done = await ok(
        api.PUT('/checks/{checkId}', { params: { path: { checkId: id } }, body: { ...form, draft } }),
      );
      said(done.sentence, done.changeId);
      await changed('checks');
      await navigate(draft ? checksOf(data) : `${checksOf(data)}/${id}`);
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  const given = check && !check.draft;
  return (
    <form
      className="min-h-0 overflow-auto pb-6"
      aria-labelledby="title"
      noValidate
      onSubmit={(e: FormEvent) => {
        e.preventDefault();
        void save(false);
      }}
    >
      <PageHead title={given ? t('Edit {{title}}', { title: check.staffTitle }) : t('New level check')} />
      <div className="grid items-start gap-x-4 max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_288px]">
        <Cards>
          <Card aria-labelledby="names">
            <h2 id="names">{t('Titles')}</h2>
            <FieldRow>
              <TextField
                label={t('Title for colleagues')}
                error={fieldOf(error, 'staffTitle')}
                maxLength={80}
                value={form.staffTitle}
                placeholder={t('Autumn window, grade 4')}
                set={(value) => put_({ staffTitle: value })}
              />
              <TextField
                label={t('Title readers see')}
                error={fieldOf(error, 'readerTitle')}
                maxLength={80}
                value={form.readerTitle}
                set={(value) => put_({ readerTitle: value })}
              />
              <Select
                label={t('Benchmark window')}
                error={fieldOf(error, 'season')}
                value={form.season ?? ''}
                set={(value) => put_({ season: seasons.find((s) => s === value) ?? null })}
                options={[
                  { value: '', label: t('none, between windows') },
                  ...seasons.map((s) => ({ value: s, label: t(seasonWords[s]) })),
                ]}
              />
            </FieldRow>
            <TextField
              label={t('Directions for readers')}
              error={fieldOf(error, 'directions')}
              maxLength={500}
              placeholder={t('Optional')}
              value={form.directions}
              set={(value) => put_({ directions: value })}
            />
          </Card>
          <Card aria-labelledby="parts">
            <h2 id="parts">{t('Parts')}</h2>
            {locked && <p className="text-soft text-sm">{t('Someone has started, so the parts cannot change.')}</p>}
            <PartPicker
              plan={form.plan}
              choices={choices}
              depth={depth}
              locked={locked}
              change={(plan) => put_({ plan })}
            />
            {fieldOf(error, 'plan') && <ErrorText>{fieldOf(error, 'plan')}</ErrorText>}
          </Card>
          <HowHard plan={form.plan} choices={choices} locked={locked} change={(plan) => put_({ plan })} />
          <Card aria-labelledby="who">
            <h2 id="who">{t('Who takes it')}</h2>
            <WhoTakesIt data={data} aims={form.for} change={(aims) => put_({ for: aims })} />
            {fieldOf(error, 'for') && <ErrorText>{fieldOf(error, 'for')}</ErrorText>}
          </Card>
          <Card aria-labelledby="days">
            <h2 id="days">{t('Dates and colleagues')}</h2>
            <FieldRow>
              <DateField
                label={t('Opens on')}
                hint={t('Optional. Without a date, it opens now.')}
                value={form.opensOn ?? ''}
                set={(value) => put_({ opensOn: value || null })}
              />
              <DateField
                label={t('Last day')}
                hint={t('Optional. Without a date, you end it.')}
                error={fieldOf(error, 'closesOn')}
                value={form.closesOn ?? ''}
                set={(value) => put_({ closesOn: value || null })}
              />
              <Select
                label={t('Share with colleague')}
                value=""
                set={(value) => value && put_({ colleagues: [...form.colleagues, value] })}
                options={[
                  { value: '', label: t('Choose…') },
                  ...choices.colleagues
                    .filter((c) => !form.colleagues.includes(c.id))
                    .map((c) => ({ value: c.id, label: c.name })),
                ]}
              />
            </FieldRow>
            {form.colleagues.length > 0 && (
              <Row>
                {form.colleagues.map((c) => (
                  <Button
                    size="sm"
                    key={c}
                    onClick={() => put_({ colleagues: form.colleagues.filter((x) => x !== c) })}
                    aria-label={t('Stop sharing with {{name}}', {
                      name: choices.colleagues.find((x) => x.id === c)?.name ?? '',
                    })}
                  >
                    {choices.colleagues.find((x) => x.id === c)?.name} ×
                  </Button>
                ))}
              </Row>
            )}
          </Card>
        </Cards>
        <aside
          className={cx(
            'border-line bg-sand top-0 mx-4 mt-2 grid gap-2.5 rounded-md border px-4 pt-3.5 pb-4',
            'lg:sticky lg:ml-0',
          )}
          aria-labelledby="sum"
        >
          <h2 id="sum">{t('What happens')}</h2>
          <p>
            <b className="font-serif text-xl font-semibold">
              {t('about {{n}} min', { n: Math.round(totalMinutes(form.plan, choices, depth)) })}
            </b>{' '}
            {t('for a reader at about {{depth}} fm', { depth: fm(depth) })}
          </p>
          <p>
            {form.for.grades.length > 0
              ? t('Whole grades and {{count}} readers chosen here take it.', { count: readers })
              : t('{{count}} readers take it.', { count: readers })}
          </p>
          <p className="text-soft text-sm">
            {t(
              phrase(
                'Readers see it first on their page. Every part starts with a practice question. They can ' +
                  'stop and come back.',
              ),
            )}
          </p>
          {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
          <Button look="main" type="submit" disabled={busy || form.plan.parts.length === 0}>
            {given ? t('Save') : t('Give check')}
          </Button>
          {!given && (
            <Button disabled={busy} onClick={() => void save(true)}>
              {t('Save as draft')}
            </Button>
          )}
        </aside>
      </div>
    </form>
  );
}

/** Where the check starts, how sure it wants to be, and what readers see of the time. */
function HowHard({
  plan,
  choices,
  locked,
  change,
}: {
  plan: Plan;
  choices: Choices;
  locked: boolean;
  change: (p: Plan) => void;
}) {
  const band = plan.start === 'Band',
    fixed = plan.form.length > 0;
  const grade = (depth: number) => choices.grades.find((g) => Math.abs(g.depth - depth) < 0.05)?.grade ?? '';
  return (
    <Card aria-labelledby="hard">
      <h2 id="hard">{t('Difficulty and length')}</h2>
      <fieldset disabled={locked} className="grid gap-1.5">
        <legend className="sr-only">{t('Difficulty and length')}</legend>
        <Radios
          label={t('Start')}
          className="flex-col"
          value={fixed ? 'passages' : band ? 'band' : 'own'}
          set={(start) =>
            change({
              ...plan,
              start: start === 'band' ? 'Band' : 'OwnLevel',
              form: start === 'passages' ? choices.passages.slice(0, 1).map((x) => x.versionId) : [],
            })
          }
          options={[
            { value: 'own', label: t('Each reader’s own level'), disabled: locked },
            { value: 'band', label: t('The same band for all'), disabled: locked },
            { value: 'passages', label: t('The same passages for all'), disabled: locked },
          ]}
        />
        {band && (
          <FieldRow>
            {(
              [
                ['from', t('From')],
                ['to', t('To')],
              ] as const
            ).map(([key, label]) => (
              <div key={key} className="grid gap-1">
                <b className="text-sm">{label}</b>
                <span className="flex flex-wrap items-center gap-2">
                  <Select
                    label={`${label}, ${t('grade')}`}
                    bare
                    value={grade(plan[key])}
                    set={(value) => {
                      const g = choices.grades.find((x) => x.grade === value);
                      if (g) change({ ...plan, [key]: g.depth });
                    }}
                    options={[
                      { value: '', label: t('between grades') },
                      ...choices.grades.map((g) => ({
                        value: g.grade,
                        label: t('grade {{grade}} now', { grade: g.grade }),
                      })),
                    ]}
                  />
                  <NumberField
                    label={label}
                    bare
                    step="0.5"
                    disabled={locked}
                    value={Math.round(plan[key] * 10) / 10}
                    set={(depth) => change({ ...plan, [key]: depth })}
                  />
                  fm
                </span>
              </div>
            ))}
          </FieldRow>
        )}
        {fixed && <FixedForm plan={plan} choices={choices} change={change} />}
        <FieldRow>
          {!fixed && (
            <NumberField
              label={t('Most passages')}
              min={1}
              max={8}
              value={plan.mostPassages}
              set={(value) => change({ ...plan, mostPassages: value })}
            />
          )}
          {!fixed && (
            <Select
              label={t('Stop when the level is known to')}
              value={plan.sureAt}
              set={(value) => change({ ...plan, sureAt: Number(value) })}
              options={[2, 2.5, 3, 3.5, 4].map((s) => ({ value: s, label: `± ${halfRange(s).toFixed(1)} fm` }))}
            />
          )}
        </FieldRow>
        <Checkbox checked={plan.timerShown} set={(on) => change({ ...plan, timerShown: on })}>
          {t('Show readers the time left. It is recorded either way.')}
        </Checkbox>
        <Checkbox checked={plan.aPartADay} set={(on) => change({ ...plan, aPartADay: on })}>
          {t('One part a day. The next opens the day after.')}
        </Checkbox>
      </fieldset>
    </Card>
  );
}

function FixedForm({ plan, choices, change }: { plan: Plan; choices: Choices; change: (p: Plan) => void }) {
  return (
    <ol className="grid gap-1.5 pl-1">
      {plan.form.map((id, i) => (
        <li key={id}>
          <Select
            label={t('Passage {{n}}', { n: i + 1 })}
            bare
            value={id}
            set={(value) => change({ ...plan, form: plan.form.map((x, k) => (k === i ? value : x)) })}
            options={choices.passages
              .filter((p) => p.versionId === id || !plan.form.includes(p.versionId))
              .map((p) => ({
                value: p.versionId,
                label: `${fm(p.depth)} fm · ${p.title} · ${t('{{count}} words', { count: p.words })}`,
              }))}
          />{' '}
          {plan.form.length > 1 && (
            <Button size="sm" onClick={() => change({ ...plan, form: plan.form.filter((x) => x !== id) })}>
              {t('Remove')}
            </Button>
          )}
        </li>
      ))}
      {plan.form.length < 8 && (
        <li>
          <Button
            size="sm"
            onClick={() => {
              const next = choices.passages.find((p) => !plan.form.includes(p.versionId));
              if (next) change({ ...plan, form: [...plan.form, next.versionId] });
            }}
          >
            {t('Add passage')}
          </Button>
        </li>
      )}
    </ol>
  );
}
