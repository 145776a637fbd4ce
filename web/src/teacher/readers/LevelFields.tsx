import type { Api } from '../../shared/api';
import { named, t } from '../../shared/words';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';

type Written = { level: string; system: string };

/** A level, and how it is written; another way of writing it shows the reader's level now in that way. */
export function LevelFields({
  value,
  labels,
  error,
  set,
}: {
  value: Written;
  labels: Api<'LabelView'>[];
  error: string | undefined;
  set: (value: Written) => void;
}) {
  return (
    <>
      <TextField
        label={t('Level')}
        error={error}
        autoFocus
        value={value.level}
        set={(level) => set({ level, system: value.system })}
      />
      <Select
        label={t('Written as')}
        value={value.system}
        set={(system) => set({ system, level: labels.find((l) => l.system === system)?.label ?? value.level })}
        options={labels.map((l) => ({ value: l.system, label: named(l.system) }))}
      />
    </>
  );
}
