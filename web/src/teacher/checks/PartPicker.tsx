import { t } from '../../shared/words';
import { partAbout, partNames, partOrder, type Choices } from './checkQueries';
import { minutesOf, withPart, type PartPlan, type Plan } from './plan';
import { sure } from '../../shared/sure';

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
    <ul className="partpicker">
      {partOrder.map((name) => {
        const on = plan.parts.find((p) => p.part === name);
        const usual = sure(choices.usual.find((p) => p.part === name));
        const title = t(partNames[name]);
        return (
          <li key={name} className={on ? 'on' : undefined}>
            <label className="pick">
              <input
                type="checkbox"
                disabled={locked}
                checked={!!on}
                onChange={(e) => change(withPart(plan, usual, e.target.checked, partOrder))}
              />
              <b>{title}</b>
            </label>
            <p className="soft">{t(partAbout[name])}</p>
            <span className="time">
              {on ? t('about {{n}} min', { n: Math.max(1, Math.round(minutesOf(on, plan, choices, depth))) }) : ''}
            </span>
            {on && (
              <details open={spares(on)}>
                <summary>
                  {spares(on)
                    ? t('Time, and who is spared it')
                    : t('Time at most {{n}} min, nobody is spared it', { n: on.minutes })}
                </summary>
                <fieldset disabled={locked}>
                  <legend className="hide">{title}</legend>
                  <label>
                    {name === 'Maze' ? t('Minutes') : t('At most, minutes')}{' '}
                    <input
                      type="number"
                      min={1}
                      max={60}
                      value={on.minutes}
                      onChange={(e) => set({ ...on, minutes: Number(e.target.value) })}
                    />
                  </label>
                  <label>
                    {t('Spare readers below, fm')}{' '}
                    <input
                      type="number"
                      value={on.skipBelow ?? ''}
                      onChange={(e) => set({ ...on, skipBelow: depthOrNone(e.target.value) })}
                    />
                  </label>
                  <label>
                    {t('and above, fm')}{' '}
                    <input
                      type="number"
                      value={on.skipAbove ?? ''}
                      onChange={(e) => set({ ...on, skipAbove: depthOrNone(e.target.value) })}
                    />
                  </label>
                  <label>
                    <input
                      type="checkbox"
                      checked={on.skipMastered}
                      onChange={(e) => set({ ...on, skipMastered: e.target.checked })}
                    />{' '}
                    {t('Spare who mastered it this year')}
                  </label>
                  {(name === 'Passages' || name === 'Maze') && (
                    <label>
                      <input
                        type="checkbox"
                        disabled={!plan.parts.some((p) => p.part === 'WordReading')}
                        checked={on.skipUndecoding}
                        onChange={(e) => set({ ...on, skipUndecoding: e.target.checked })}
                      />{' '}
                      {t('Spare who does not decode yet, by word reading')}
                    </label>
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
