import { useState } from 'react';
import { api, ok, sentence, type Api } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { phrase, t, type Phrase } from '../../../shared/words';
import { ErrorText } from '../../../ui/Field';
import { Select } from '../../../ui/Select';

type PoolShown = Api<'PoolShown'>;

const names: Record<PoolShown, Phrase> = {
  Both: phrase('own pool and class pool'),
  Own: phrase('own pool'),
  Shared: phrase('class pool'),
  None: phrase('no pool'),
};

/** Which tide pools readers see on their pages. */
export function PoolChoice({ classId, pool }: { classId: string; pool: PoolShown }) {
  const changed = useChanged();
  const [error, setError] = useState<unknown>();
  const set = async (next: PoolShown) => {
    setError(undefined);
    try {
      await ok(api.PUT('/classes/{classId}/pool', { params: { path: { classId } }, body: { pool: next } }));
      await changed('roster');
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <div className="grid gap-1.5">
      <Select
        label={t('Tide pool on readers’ pages')}
        hint={t('Something comes in for each text that was understood; nothing is counted or ranked.')}
        value={pool}
        set={(next) => void set(next)}
        options={(Object.keys(names) as PoolShown[]).map((value) => ({ value, label: t(names[value]) }))}
      />
      {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
    </div>
  );
}
