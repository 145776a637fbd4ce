import { api, ok, type Api } from '../../../shared/api';
import { phrase, t, type Phrase } from '../../../shared/words';
import { ClassChoice } from './ClassChoice';

type OutsideCounts = Api<'OutsideCounts'>;

const names: Record<OutsideCounts, Phrase> = {
  None: phrase('not at all'),
  Confirmed: phrase('once a teacher has confirmed it'),
  All: phrase('as readers tell it'),
};

/** Which reading elsewhere counts for word goals. */
export const OutsideChoice = ({ classId, outside }: { classId: string; outside: OutsideCounts }) => (
  <ClassChoice
    label={t('Reading elsewhere counts')}
    hint={t('Its minutes become words at the reader’s silent rate. It changes no score and no level.')}
    names={names}
    value={outside}
    save={(next) =>
      ok(api.PUT('/classes/{classId}/outside', { params: { path: { classId } }, body: { outside: next } }))
    }
  />
);
