import { percent } from '../../shared/format';
import { t } from '../../shared/words';
import type { Fit } from './useFits';
import { Spread } from '../../ui/Spread';

interface Props {
  fits: Fit[];
  name: (readerId: string) => string;
  cuts: { zoneLow: number; zoneHigh: number };
}

/** Forecasts of the picked readers on the picked text, over the reach as the school cuts it. */
export function FitSpread({ fits, name, cuts }: Props) {
  const within = fits.filter((f) => f.zone === 'Instructional').length;
  const deep = fits.filter((f) => f.zone === 'Frustration').length;
  const easy = fits.length - within - deep;
  const words = [
    t('{{n}} within reach', { n: within }),
    deep && t('{{n}} too deep', { n: deep }),
    easy && t('{{n}} easy', { n: easy }),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <div className="border-line min-w-0 border-l px-3.5 py-2">
      <h3 className="font-ui mb-1.5 text-sm font-semibold">{words}</h3>
      <Spread
        of={fits.map((f) => ({ id: f.readerId, percent: f.forecast, deep: f.zone === 'Frustration' }))}
        from={100 * cuts.zoneLow}
        to={100 * cuts.zoneHigh}
        label={`${t('Forecast comprehension')}: ${fits.map((f) => `${name(f.readerId)} ${percent(f.forecast / 100)}`).join(', ')}`}
      />
    </div>
  );
}
