import { api, ok, type Api } from '../../../shared/api';
import { phrase, t, type Phrase } from '../../../shared/words';
import { ClassChoice } from './ClassChoice';

type PoolShown = Api<'PoolShown'>;

const names: Record<PoolShown, Phrase> = {
  Both: phrase('own pool and class pool'),
  Own: phrase('own pool'),
  Shared: phrase('class pool'),
  None: phrase('no pool'),
};

/** Which tide pools readers see on their pages. */
export const PoolChoice = ({ classId, pool }: { classId: string; pool: PoolShown }) => (
  <ClassChoice
    label={t('Tide pool on readers’ pages')}
    hint={t('Something comes in for each text that was understood; nothing is counted or ranked.')}
    names={names}
    value={pool}
    save={(next) => ok(api.PUT('/classes/{classId}/pool', { params: { path: { classId } }, body: { pool: next } }))}
  />
);
