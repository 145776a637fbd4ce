import { t } from '../../../shared/words';
import type { Supports } from '../../../shared/supports';
import { Checkbox } from '../../../ui/Checkbox';
import { FieldSet } from '../../../ui/Field';
import { Select } from '../../../ui/Select';

/** The supports of one reader, or of several at once. */
export function SupportFields({ value, change }: { value: Supports; change: (next: Supports) => void }) {
  const tick = (key: 'readAloud' | 'hideTimer' | 'oneChoice' | 'retry', label: string) => (
    <Checkbox checked={value[key]} set={(on) => change({ ...value, [key]: on })}>
      {label}
    </Checkbox>
  );
  return (
    <FieldSet legend={t('Supports')} framed className="flex flex-wrap gap-x-4 gap-y-1.5">
      {tick('readAloud', t('Listen'))}
      {tick('hideTimer', t('Hidden timer'))}
      {tick('oneChoice', t('One choice at a time'))}
      {tick('retry', t('One more try'))}
      <Select
        label={t('Time')}
        inline
        value={value.moreTime}
        set={(moreTime) => change({ ...value, moreTime })}
        options={[...new Set([100, 125, 150, 200, value.moreTime])]
          .sort((a, b) => a - b)
          .map((n) => ({ value: n, label: n === 100 ? t('as usual') : t('{{n}}%', { n }) }))}
      />
      <Select
        label={t('Text size')}
        inline
        value={value.textSize}
        set={(textSize) => change({ ...value, textSize })}
        options={[
          { value: 0, label: t('as usual') },
          { value: 1, label: t('larger') },
          { value: 2, label: t('largest') },
        ]}
      />
    </FieldSet>
  );
}
