import type { Api } from '../../shared/api';
import type { Bound } from '../../shared/forms';
import { named, t } from '../../shared/words';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';

/** A level, and how it is written; another way of writing it shows the reader's level now in that way. */
export function LevelFields({
  level,
  system,
  labels,
}: {
  level: Bound<string>;
  system: Bound<string>;
  labels: Api<'LabelView'>[];
}) {
  return (
    <>
      <TextField label={t('Level')} autoFocus {...level} />
      <Select
        label={t('Written as')}
        {...system}
        set={(to) => {
          system.set(to);
          level.set(labels.find((l) => l.system === to)?.label ?? level.value);
        }}
        options={labels.map((l) => ({ value: l.system, label: named(l.system) }))}
      />
    </>
  );
}
