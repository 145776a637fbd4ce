import { cx } from 'class-variance-authority';
import type { Api } from '../../shared/api';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { Select } from '../../ui/Select';
import { Limit, Part } from './FilterPieces';
import type { Ask } from './useLibrary';

const systems = (data: ClassData) => [
  { name: t('Grade'), of: (i: number) => sure(data.levelChart[i]).grade },
  { name: t('School year'), of: (i: number) => sure(data.levelChart[i]).schoolYear },
  { name: t('Age'), of: (i: number) => sure(data.levelChart[i]).ages },
  ...data.ownColumns.map((own, c) => ({ name: own, of: (i: number) => sure(data.levelChart[i]).own[c] ?? '' })),
];

/** Texts of a depth: in fathoms, or by what the school calls a level. */
export function DepthFilter({ ask, data, values }: { ask: Ask; data: ClassData; values: Api<'FacetValue'>[] }) {
  const label = (value: string) => {
    const row = Number(value.split('|')[1]);
    ask.put({
      depthFrom: row === 0 ? '' : String(sure(data.levelChart[row - 1]).depth),
      depthTo: String(sure(data.levelChart[row]).depth),
    });
  };
  const at = (band: number) => values.find((v) => Number(v.value) === band)?.count ?? 0;
  const bands = [...new Set(values.map((v) => Number(v.value)))].sort((a, b) => a - b);
  const most = Math.max(1, ...values.map((v) => v.count));
  return (
    <Part name={t('Depth')}>
      <div className="flex flex-wrap items-center gap-2">
        <Limit ask={ask} field="depthFrom" name={t('from')} />
        <Limit ask={ask} field="depthTo" name={t('to')} unit="fm" />
      </div>
      <ul className="grid grid-cols-[auto_minmax(24px,56px)_auto] gap-x-2">
        {bands.map((b) => {
          const on = ask.of('depthFrom') === String(b) && ask.of('depthTo') === String(b + 9.99);
          return (
            <li key={b} className="col-span-3 grid grid-cols-subgrid">
              <button
                className={cx(
                  'aria-pressed:bg-tint aria-pressed:outline-overlay col-span-3 grid min-h-6 grid-cols-subgrid items-center',
                  'rounded-sm px-1 text-sm aria-pressed:outline',
                )}
                aria-pressed={on}
                onClick={() =>
                  ask.put(on ? { depthFrom: '', depthTo: '' } : { depthFrom: String(b), depthTo: String(b + 9.99) })
                }
              >
                <span className="text-left">{t('{{from}} to {{to}} fm', { from: b, to: b + 10 })}</span>
                <svg width="100%" height="8" aria-hidden>
                  <rect width={`${(100 * at(b)) / most}%`} height="8" fill="var(--color-depth-4)" />
                </svg>
                <span className="text-soft text-right">{at(b)}</span>
              </button>
            </li>
          );
        })}
      </ul>
      <Select
        label={t('or by label')}
        value=""
        set={(chosen) => chosen && label(chosen)}
        options={[
          { value: '', label: t('choose…') },
          ...systems(data).flatMap((s, k) =>
            data.levelChart.flatMap((_, i) => (s.of(i) ? [{ value: `${k}|${i}`, label: `${s.name} ${s.of(i)}` }] : [])),
          ),
        ]}
      />
    </Part>
  );
}
