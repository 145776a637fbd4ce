import { useState, type FormEvent } from 'react';
import { useNavigate, useOutletContext, useParams, useSearchParams } from 'react-router';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm, halfRange } from '../../shared/format';
import { useSession } from '../../shared/session';
import { Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import type { Place } from '../frame/Frame';
import { Field } from '../frame/Window';
import { useOptionalTray } from '../tray/useTray';
import { seasonWords, seasons, useCheck, useChoices, type Check, type Choices } from './checkQueries';
import { PartPicker } from './PartPicker';
import { aboutDepth, emptyPlan, noAims, totalMinutes, type Form, type Plan } from './plan';
import { countOf, WhoTakesIt } from './WhoTakesIt';
import './checks.css';

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
      className="formpage checkeditor"
      aria-labelledby="title"
      noValidate
      onSubmit={(e: FormEvent) => {
        e.preventDefault();
        void save(false);
      }}
    >
      <div className="head">
        <h1 id="title">{given ? t('Change {{title}}', { title: check.staffTitle }) : t('New level check')}</h1>
      </div>
      <div className="checkcols">
        <div className="cards">
          <section className="card" aria-labelledby="names">
            <h2 id="names">{t('What it is called')}</h2>
            <div className="fields">
              <Field id="staff" label={t('Title for colleagues')} error={fieldOf(error, 'staffTitle')}>
                <input
                  id="staff"
                  type="text"
                  maxLength={80}
                  value={form.staffTitle}
                  placeholder={t('Autumn window, grade 4')}
                  onChange={(e) => put_({ staffTitle: e.target.value })}
                />
              </Field>
              <Field id="title-r" label={t('Title readers see')} error={fieldOf(error, 'readerTitle')}>
                <input
                  id="title-r"
                  type="text"
                  maxLength={80}
                  value={form.readerTitle}
                  onChange={(e) => put_({ readerTitle: e.target.value })}
                />
              </Field>
              <Field id="season" label={t('Benchmark window')} error={fieldOf(error, 'season')}>
                <select
                  id="season"
                  value={form.season ?? ''}
                  onChange={(e) => put_({ season: seasons.find((s) => s === e.target.value) ?? null })}
                >
                  <option value="">{t('none, a check in between')}</option>
                  {seasons.map((s) => (
                    <option key={s} value={s}>
                      {t(seasonWords[s])}
                    </option>
                  ))}
                </select>
              </Field>
            </div>
            <Field id="directions" label={t('Directions for readers')} error={fieldOf(error, 'directions')}>
              <input
                id="directions"
                type="text"
                maxLength={500}
                placeholder={t('May be left empty')}
                value={form.directions}
                onChange={(e) => put_({ directions: e.target.value })}
              />
            </Field>
          </section>
          <section className="card" aria-labelledby="parts">
            <h2 id="parts">{t('Parts')}</h2>
            {locked && <p className="hint">{t('Somebody has begun, so the parts stay as they are.')}</p>}
            <PartPicker
              plan={form.plan}
              choices={choices}
              depth={depth}
              locked={locked}
              change={(plan) => put_({ plan })}
            />
            {fieldOf(error, 'plan') && (
              <p className="error" role="alert">
                {fieldOf(error, 'plan')}
              </p>
            )}
          </section>
          <HowHard plan={form.plan} choices={choices} locked={locked} change={(plan) => put_({ plan })} />
          <section className="card" aria-labelledby="who">
            <h2 id="who">{t('Who takes it')}</h2>
            <WhoTakesIt data={data} aims={form.for} change={(aims) => put_({ for: aims })} />
            {fieldOf(error, 'for') && (
              <p className="error" role="alert">
                {fieldOf(error, 'for')}
              </p>
            )}
          </section>
          <section className="card" aria-labelledby="days">
            <h2 id="days">{t('When, and who helps')}</h2>
            <div className="fields">
              <Field id="opens" label={t('Opens on')} hint={t('Empty: at once')}>
                <input
                  id="opens"
                  type="date"
                  value={form.opensOn ?? ''}
                  onChange={(e) => put_({ opensOn: e.target.value || null })}
                />
              </Field>
              <Field
                id="closes"
                label={t('Last day')}
                hint={t('Empty: until you end it')}
                error={fieldOf(error, 'closesOn')}
              >
                <input
                  id="closes"
                  type="date"
                  value={form.closesOn ?? ''}
                  onChange={(e) => put_({ closesOn: e.target.value || null })}
                />
              </Field>
              <Field id="colleague" label={t('Let a colleague in')}>
                <select
                  id="colleague"
                  value=""
                  onChange={(e) => e.target.value && put_({ colleagues: [...form.colleagues, e.target.value] })}
                >
                  <option value="">{t('Choose…')}</option>
                  {choices.colleagues
                    .filter((c) => !form.colleagues.includes(c.id))
                    .map((c) => (
                      <option key={c.id} value={c.id}>
                        {c.name}
                      </option>
                    ))}
                </select>
              </Field>
            </div>
            {form.colleagues.length > 0 && (
              <p className="row">
                {form.colleagues.map((c) => (
                  <button
                    type="button"
                    key={c}
                    className="btn small"
                    onClick={() => put_({ colleagues: form.colleagues.filter((x) => x !== c) })}
                    aria-label={t('Let {{name}} out again', {
                      name: choices.colleagues.find((x) => x.id === c)?.name ?? '',
                    })}
                  >
                    {choices.colleagues.find((x) => x.id === c)?.name} ×
                  </button>
                ))}
              </p>
            )}
          </section>
        </div>
        <aside className="checksum" aria-labelledby="sum">
          <h2 id="sum">{t('What will happen')}</h2>
          <p>
            <b className="big">{t('about {{n}} min', { n: Math.round(totalMinutes(form.plan, choices, depth)) })}</b>{' '}
            {t('for a reader at about {{depth}} fm', { depth: fm(depth) })}
          </p>
          <p>
            {form.for.grades.length > 0
              ? t('Whole grades take it, beside {{count}} readers picked here.', { count: readers })
              : t('{{count}} readers take it.', { count: readers })}
          </p>
          <p className="soft small">
            {t(
              'Readers see it on top of their page, with a question to try first in every part. They may stop and come back.',
            )}
          </p>
          {error ? (
            <p className="error" role="alert">
              {sentence(error)}
            </p>
          ) : null}
          <button className="btn main" disabled={busy || form.plan.parts.length === 0}>
            {given ? t('Save') : t('Give it')}
          </button>
          {!given && (
            <button type="button" className="btn" disabled={busy} onClick={() => void save(true)}>
              {t('Keep as a draft')}
            </button>
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
    <section className="card" aria-labelledby="hard">
      <h2 id="hard">{t('How hard, and how long')}</h2>
      <fieldset disabled={locked} className="howhard">
        <legend className="hide">{t('How hard, and how long')}</legend>
        <label>
          <input
            type="radio"
            name="start"
            checked={!band && !fixed}
            onChange={() => change({ ...plan, start: 'OwnLevel', form: [] })}
          />{' '}
          {t('Starts from each reader’s own level')}
        </label>
        <label>
          <input
            type="radio"
            name="start"
            checked={band}
            onChange={() => change({ ...plan, start: 'Band', form: [] })}
          />{' '}
          {t('Starts from the same band for all')}
        </label>
        <label>
          <input
            type="radio"
            name="start"
            checked={fixed}
            onChange={() =>
              change({ ...plan, start: 'OwnLevel', form: choices.passages.slice(0, 1).map((p) => p.versionId) })
            }
          />{' '}
          {t('Everybody reads the same passages')}
        </label>
        {band && (
          <div className="fields">
            {(
              [
                ['from', t('From')],
                ['to', t('To')],
              ] as const
            ).map(([key, label]) => (
              <Field key={key} id={`band-${key}`} label={label}>
                <span className="row">
                  <select
                    aria-label={`${label}, ${t('grade')}`}
                    value={grade(plan[key])}
                    onChange={(e) => {
                      const g = choices.grades.find((x) => x.grade === e.target.value);
                      if (g) change({ ...plan, [key]: g.depth });
                    }}
                  >
                    <option value="">{t('between grades')}</option>
                    {choices.grades.map((g) => (
                      <option key={g.grade} value={g.grade}>
                        {t('grade {{grade}} now', { grade: g.grade })}
                      </option>
                    ))}
                  </select>
                  <input
                    id={`band-${key}`}
                    type="number"
                    step="0.5"
                    value={Math.round(plan[key] * 10) / 10}
                    onChange={(e) => change({ ...plan, [key]: Number(e.target.value) })}
                  />{' '}
                  fm
                </span>
              </Field>
            ))}
          </div>
        )}
        {fixed && <FixedForm plan={plan} choices={choices} change={change} />}
        <div className="fields">
          {!fixed && (
            <Field id="most" label={t('Passages at most')}>
              <input
                id="most"
                type="number"
                min={1}
                max={8}
                value={plan.mostPassages}
                onChange={(e) => change({ ...plan, mostPassages: Number(e.target.value) })}
              />
            </Field>
          )}
          {!fixed && (
            <Field id="sure" label={t('Passages end when the level is sure to')}>
              <select
                id="sure"
                value={plan.sureAt}
                onChange={(e) => change({ ...plan, sureAt: Number(e.target.value) })}
              >
                {[2, 2.5, 3, 3.5, 4].map((s) => (
                  <option key={s} value={s}>
                    ± {halfRange(s).toFixed(1)} fm
                  </option>
                ))}
              </select>
            </Field>
          )}
        </div>
        <label>
          <input
            type="checkbox"
            checked={plan.timerShown}
            onChange={(e) => change({ ...plan, timerShown: e.target.checked })}
          />{' '}
          {t('Readers see the time that is left; it is kept all the same')}
        </label>
        <label>
          <input
            type="checkbox"
            checked={plan.aPartADay}
            onChange={(e) => change({ ...plan, aPartADay: e.target.checked })}
          />{' '}
          {t('One part a day: the next opens on the day after')}
        </label>
      </fieldset>
    </section>
  );
}

function FixedForm({ plan, choices, change }: { plan: Plan; choices: Choices; change: (p: Plan) => void }) {
  return (
    <ol className="fixedform">
      {plan.form.map((id, i) => (
        <li key={id}>
          <select
            aria-label={t('Passage {{n}}', { n: i + 1 })}
            value={id}
            onChange={(e) => change({ ...plan, form: plan.form.map((x, k) => (k === i ? e.target.value : x)) })}
          >
            {choices.passages
              .filter((p) => p.versionId === id || !plan.form.includes(p.versionId))
              .map((p) => (
                <option key={p.versionId} value={p.versionId}>
                  {fm(p.depth)} fm · {p.title} · {t('{{count}} words', { count: p.words })}
                </option>
              ))}
          </select>{' '}
          {plan.form.length > 1 && (
            <button
              type="button"
              className="btn small"
              onClick={() => change({ ...plan, form: plan.form.filter((x) => x !== id) })}
            >
              {t('Take out')}
            </button>
          )}
        </li>
      ))}
      {plan.form.length < 8 && (
        <li>
          <button
            type="button"
            className="btn small"
            onClick={() => {
              const next = choices.passages.find((p) => !plan.form.includes(p.versionId));
              if (next) change({ ...plan, form: [...plan.form, next.versionId] });
            }}
          >
            {t('One more passage')}
          </button>
        </li>
      )}
    </ol>
  );
}
