import { useState } from 'react';
import { sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { t, type Phrase } from '../../../shared/words';
import { ErrorText } from '../../../ui/Field';
import { Select } from '../../../ui/Select';

/** Something a class chooses from a few, saved as it is chosen. */
export function ClassChoice<V extends string>({
  label,
  hint,
  names,
  value,
  save,
}: {
  label: string;
  hint: string;
  names: Record<V, Phrase>;
  value: V;
  save: (value: V) => Promise<unknown>;
}) {
  const changed = useChanged();
  const [error, setError] = useState<unknown>();
  const set = async (next: V) => {
    setError(undefined);
    try {
      await save(next);
      await changed('roster');
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <div className="grid gap-1.5">
      <Select
        label={label}
        hint={hint}
        value={value}
        set={(next) => void set(next)}
        options={(Object.keys(names) as V[]).map((v) => ({ value: v, label: t(names[v]) }))}
      />
      {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
    </div>
  );
}
