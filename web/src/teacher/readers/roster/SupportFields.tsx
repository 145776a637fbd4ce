import { t } from '../../../shared/words';
import type { Supports } from './supports';

/** The supports of one reader, or of several at once. */
export function SupportFields({ value, change }: { value: Supports; change: (next: Supports) => void }) {
  const tick = (key: 'readAloud' | 'hideTimer' | 'oneChoice' | 'retry', label: string) => (
    <label>
      <input type="checkbox" checked={value[key]} onChange={(e) => change({ ...value, [key]: e.target.checked })} />
      {label}
    </label>
  );
  return (
    <fieldset className="supports">
      <legend>{t('Supports')}</legend>
      {tick('readAloud', t('Read aloud'))}
      {tick('hideTimer', t('Hidden timer'))}
      {tick('oneChoice', t('One choice at a time'))}
      {tick('retry', t('One more try'))}
      <label>
        {t('Time')}{' '}
        <select value={value.moreTime} onChange={(e) => change({ ...value, moreTime: Number(e.target.value) })}>
          {[...new Set([100, 125, 150, 200, value.moreTime])]
            .sort((a, b) => a - b)
            .map((n) => (
              <option key={n} value={n}>
                {n === 100 ? t('as usual') : t('{{n}} %', { n })}
              </option>
            ))}
        </select>
      </label>
      <label>
        {t('Text size')}{' '}
        <select value={value.textSize} onChange={(e) => change({ ...value, textSize: Number(e.target.value) })}>
          <option value={0}>{t('as usual')}</option>
          <option value={1}>{t('larger')}</option>
          <option value={2}>{t('largest')}</option>
        </select>
      </label>
    </fieldset>
  );
}
