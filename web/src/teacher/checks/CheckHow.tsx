import { fm, halfRange } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox, Radios } from '../../ui/Checkbox';
import { FieldRow } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { NumberField } from '../../ui/TextField';
import type { Choices } from './checkQueries';
import type { Plan } from './plan';

/** Where the check starts, how sure it wants to be, and what readers see of the time. */
export function CheckHow({
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
  const ownOrBand = band ? 'band' : 'own';
  return (
    <section aria-labelledby="hard" className="grid content-start gap-2">
      <h2 id="hard" className="text-base">
        {t('Difficulty and length')}
      </h2>
      <fieldset disabled={locked} className="grid gap-1.5">
        <legend className="sr-only">{t('Difficulty and length')}</legend>
        <Radios
          label={t('Start')}
          className="flex-col"
          value={fixed ? 'passages' : ownOrBand}
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
    </section>
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
