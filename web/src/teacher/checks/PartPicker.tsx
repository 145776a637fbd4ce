import { cx } from 'class-variance-authority';
import { t } from '../../shared/words';
import { partAbout, partNames, partOrder, type Choices } from './checkQueries';
import { minutesOf, withPart, type PartPlan, type Plan } from './plan';
import { sure } from '../../shared/sure';
import { Checkbox } from '../../ui/Checkbox';
import { NumberField, TextField } from '../../ui/TextField';

const depthOrNone = (v: string) => (v === '' ? null : Number(v));

const spares = (p: PartPlan) => p.skipBelow != null || p.skipAbove != null || p.skipMastered || p.skipUndecoding;

/** Parts to pick, with the time each is expected to take and who is spared it. */
export function PartPicker({
  plan,
  choices,
  depth,
  locked,
  change,
}: {
  plan: Plan;
  choices: Choices;
  depth: number;
  locked: boolean;
  change: (p: Plan) => void;
}) {
  const set = (part: PartPlan) => change({ ...plan, parts: plan.parts.map((p) => (p.part === part.part ? part : p)) });
  return (
    <ul
      className={cx(
        '[&_summary]:text-soft grid gap-2 [&_fieldset]:flex [&_fieldset]:flex-wrap',
        '[&_fieldset]:items-center [&_fieldset]:gap-x-4.5 [&_fieldset]:gap-y-1 [&_fieldset]:pt-1',
        '[&_fieldset]:text-sm [&_p]:text-sm [&_summary]:min-h-6 [&_summary]:cursor-pointer',
      )}
    >
      {partOrder.map((name) => {
        const on = plan.parts.find((p) => p.part === name);
        const usual = sure(choices.usual.find((p) => p.part === name));
        const title = t(partNames[name]);
        return (
          <li
            key={name}
            className={cx(
              'grid grid-cols-[168px_minmax(0,1fr)_auto] items-baseline gap-x-3 gap-y-0.5 rounded-md border ' +
                'px-3 py-2 [&_details]:col-span-full',
              on ? 'border-ink' : 'border-line',
            )}
          >
            <Checkbox checked={!!on} disabled={locked} set={(on) => change(withPart(plan, usual, on, partOrder))}>
              <b>{title}</b>
            </Checkbox>
            <p className="text-soft">{t(partAbout[name])}</p>
            <span className="font-semibold whitespace-nowrap">
              {on ? t('about {{n}} min', { n: Math.max(1, Math.round(minutesOf(on, plan, choices, depth))) }) : ''}
            </span>
            {on && (
              <details open={spares(on)}>
                <summary>
                  {spares(on) ? t('Time and who skips it') : t('At most {{n}} min; no one skips it', { n: on.minutes })}
                </summary>
                <fieldset disabled={locked}>
                  <legend className="sr-only">{title}</legend>
                  <NumberField
                    label={name === 'Maze' ? t('Minutes') : t('At most (minutes)')}
                    inline
                    min={1}
                    max={60}
                    value={on.minutes}
                    set={(value) => set({ ...on, minutes: value })}
                  />
                  <TextField
                    label={t('Skip readers below (fm)')}
                    inline
                    type="number"
                    value={on.skipBelow ?? ''}
                    set={(value) => set({ ...on, skipBelow: depthOrNone(value) })}
                  />
                  <TextField
                    label={t('and above (fm)')}
                    inline
                    type="number"
                    value={on.skipAbove ?? ''}
                    set={(value) => set({ ...on, skipAbove: depthOrNone(value) })}
                  />
                  <Checkbox checked={on.skipMastered} set={(ticked) => set({ ...on, skipMastered: ticked })}>
                    {t('Skip readers who mastered it this year')}
                  </Checkbox>
                  {(name === 'Passages' || name === 'Maze') && (
                    <Checkbox
                      checked={on.skipUndecoding}
                      disabled={!plan.parts.some((p) => p.part === 'WordReading')}
                      set={(ticked) => set({ ...on, skipUndecoding: ticked })}
                    >
                      {t('Skip readers not yet decoding, by word reading')}
                    </Checkbox>
                  )}
                </fieldset>
              </details>
            )}
          </li>
        );
      })}
    </ul>
  );
}
