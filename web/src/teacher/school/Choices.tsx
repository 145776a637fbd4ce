import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, Problem, sentence } from '../../shared/api';
import { Show } from '../../shared/Whole';
import { useAllChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Field } from '../frame/Window';

type View = Api<'SchoolView'>;

/** What the school has decided: names, scores, how readers of which grade sign in, what cards show, and the letter to guardians. */
export default function Choices() {
  const school = useQuery({ queryKey: keys.school.one, queryFn: () => ok(api.GET('/school')) });
  return <Show query={school}>{(s) => <Form key={s.version} school={s} />}</Show>;
}

function Form({ school }: { school: View }) {
  const [form, setForm] = useState(school);
  const [error, setError] = useState<unknown>();
  const changed = useAllChanged();
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await ok(api.PUT('/school', { body: form }));
      setError(undefined);
      toast.success(t('Saved'));
      await changed();
    } catch (problem) {
      setError(problem);
    }
  };
  const percent = (key: 'passingScore' | 'zoneLow' | 'zoneHigh', label: string) => (
    <Field id={key} label={label} error={fieldOf(error, key)}>
      <input
        id={key}
        type="number"
        min={1}
        max={99}
        value={Math.round(form[key] * 100)}
        onChange={(e) => setForm({ ...form, [key]: Number(e.target.value) / 100 })}
      />
    </Field>
  );
  const grade = (key: 'picturesTo' | 'codesTo', label: string) => (
    <Field id={key} label={label} error={fieldOf(error, key)}>
      <select id={key} value={form[key]} onChange={(e) => setForm({ ...form, [key]: Number(e.target.value) })}>
        {Array.from({ length: 14 }, (_, i) => i - 1).map((g) => (
          <option key={g} value={g}>
            {g < 0 ? t('no grade') : t('grade {{grade}}', { grade: g === 0 ? 'K' : g })}
          </option>
        ))}
      </select>
    </Field>
  );
  return (
    <form className="formpage" onSubmit={(e) => void save(e)} noValidate aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('What the school has decided')}</h1>
        <span className="grow" />
        {error ? (
          <span className="error" role="alert">
            {error instanceof Problem && Object.keys(error.fields).length > 0
              ? t('Some of this needs mending.')
              : sentence(error)}
          </span>
        ) : null}
        <button className="btn main" disabled={form === school}>
          {t('Save')}
        </button>
      </div>
      <div className="cards">
        <section className="card" aria-labelledby="s1">
          <h2 id="s1">{t('School')}</h2>
          <Field id="name" label={t('Name')} error={fieldOf(error, 'name')}>
            <input
              id="name"
              type="text"
              value={form.name}
              onChange={(e) => setForm({ ...form, name: e.target.value })}
            />
          </Field>
          <Field id="zone" label={t('Time zone')} error={fieldOf(error, 'timeZone')}>
            <input
              id="zone"
              type="text"
              value={form.timeZone}
              onChange={(e) => setForm({ ...form, timeZone: e.target.value })}
            />
          </Field>
        </section>
        <section className="card" aria-labelledby="s2">
          <h2 id="s2">{t('Scores')}</h2>
          <div className="fields">
            {percent('passingScore', t('Passing score, %'))}
            {percent('zoneLow', t('Instructional from, %'))}
            {percent('zoneHigh', t('Independent from, %'))}
            <Field id="minutes" label={t('Reading minutes a day')} error={fieldOf(error, 'minutesADay')}>
              <input
                id="minutes"
                type="number"
                min={1}
                max={240}
                value={form.minutesADay}
                onChange={(e) => setForm({ ...form, minutesADay: Number(e.target.value) })}
              />
            </Field>
          </div>
        </section>
        <section className="card" aria-labelledby="s3">
          <h2 id="s3">{t('Signing in')}</h2>
          <div className="fields">
            {grade('picturesTo', t('Pictures up to'))}
            {grade('codesTo', t('Short code up to'))}
          </div>
          <p className="hint">
            {t('Passwords above that. It holds for readers who are added from now on; whoever has a secret keeps it.')}
          </p>
          <label className="tickline">
            <input
              type="checkbox"
              checked={form.surnamesOnCards}
              onChange={(e) => setForm({ ...form, surnamesOnCards: e.target.checked })}
            />
            {t('Surnames on printed cards')}
          </label>
        </section>
        <section className="card wide" aria-labelledby="s4">
          <h2 id="s4">{t('Guardians')}</h2>
          <label className="tickline">
            <input
              type="checkbox"
              checked={form.guardiansAllowed}
              onChange={(e) => setForm({ ...form, guardiansAllowed: e.target.checked })}
            />
            {t('Guardians may register and see their own child')}
          </label>
          <Field id="lt" label={t('Title of the letter')} error={fieldOf(error, 'letterTitle')}>
            <input
              id="lt"
              type="text"
              value={form.letterTitle}
              onChange={(e) => setForm({ ...form, letterTitle: e.target.value })}
            />
          </Field>
          <Field
            id="lb"
            label={t('The letter')}
            hint={t('Filled in for each reader: {{marks}}', { marks: form.letterMarks.join(' ') })}
            error={fieldOf(error, 'letterBody')}
          >
            <textarea
              id="lb"
              rows={12}
              value={form.letterBody}
              onChange={(e) => setForm({ ...form, letterBody: e.target.value })}
            />
          </Field>
        </section>
      </div>
    </form>
  );
}
