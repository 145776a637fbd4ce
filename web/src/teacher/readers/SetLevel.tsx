import { useState, type FormEvent } from 'react';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { dayOf, fm, halfRange } from '../../shared/format';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { Field, Window } from '../frame/Window';
import { useChange, type InClass } from './Account';

/** The level a teacher has set, with the estimate that goes on beneath. */
export function Standing({ set, may, end }: { set: Api<'SetLevelView'>; may: boolean; end: () => void }) {
  const until = set.until ? t('until {{day}}', { day: dayOf(set.until) }) : t('until the next level check');
  return (
    <p className="setlevel">
      <b>{t('Set to {{level}} fm {{until}}.', { level: fm(set.level), until })}</b>{' '}
      {t('{{who}}, {{day}}: {{reason}}', { who: set.by, day: dayOf(set.at), reason: set.reason })}{' '}
      <span className="soft">
        {t('The estimate beneath: {{depth}} ± {{range}} fm.', {
          depth: fm(set.estimate),
          range: halfRange(set.estimateSd).toFixed(1),
        })}
      </span>{' '}
      {may && (
        <button className="btn small" onClick={end}>
          {t('End set level')}
        </button>
      )}
    </p>
  );
}

/** Makes the level what the teacher says, until a day or the next level check. */
export function SetLevel({
  params,
  labels,
  now,
  close,
}: {
  params: InClass;
  labels: Api<'LabelView'>[];
  now: number;
  close: () => void;
}) {
  const [form, setForm] = useState({ level: fm(now), system: 'fm', until: '', reason: '' });
  const [dated, setDated] = useState(false);
  const once = useOnce();
  const change = useChange(close);
  const known = ['level', 'until', 'reason'].some((f) => fieldOf(change.error, f));
  const other = change.error && !known ? sentence(change.error) : undefined;
  const written = (system: string) =>
    setForm({ ...form, system, level: labels.find((l) => l.system === system)?.label ?? form.level });
  const send = (e: FormEvent) => {
    e.preventDefault();
    const wanted = { ...form, until: dated && form.until ? form.until : null };
    change.mutate(() =>
      ok(
        api.PUT('/classes/{classId}/readers/{readerId}/level', {
          params,
          body: { ...wanted, id: once.idOf(wanted) },
        }),
      ),
    );
  };
  return (
    <Window title={t('Set level')} close={close}>
      <form noValidate onSubmit={send}>
        <p>{t('The level is what you say, everywhere. The estimate goes on beneath and both are shown.')}</p>
        <div className="fields">
          <Field id="sl-level" label={t('Level')} error={fieldOf(change.error, 'level')}>
            <input
              id="sl-level"
              type="text"
              autoFocus
              value={form.level}
              onChange={(e) => setForm({ ...form, level: e.target.value })}
            />
          </Field>
          <Field id="sl-system" label={t('Written as')}>
            <select id="sl-system" value={form.system} onChange={(e) => written(e.target.value)}>
              {labels.map((l) => (
                <option key={l.system} value={l.system}>
                  {t(l.system)}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <fieldset className="until">
          <legend>{t('Until')}</legend>
          <label>
            <input type="radio" name="sl-until" checked={!dated} onChange={() => setDated(false)} />{' '}
            {t('the next level check')}
          </label>
          <label>
            <input type="radio" name="sl-until" checked={dated} onChange={() => setDated(true)} /> {t('a date')}
          </label>
          {dated && (
            <Field id="sl-date" label={t('Last day')} error={fieldOf(change.error, 'until')}>
              <input
                id="sl-date"
                type="date"
                value={form.until}
                onChange={(e) => setForm({ ...form, until: e.target.value })}
              />
            </Field>
          )}
        </fieldset>
        <Field id="sl-reason" label={t('Why')} error={fieldOf(change.error, 'reason') ?? other}>
          <input
            id="sl-reason"
            type="text"
            value={form.reason}
            onChange={(e) => setForm({ ...form, reason: e.target.value })}
          />
        </Field>
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main" disabled={change.isPending || (dated && !form.until)}>
            {t('Set level')}
          </button>
        </p>
      </form>
    </Window>
  );
}
