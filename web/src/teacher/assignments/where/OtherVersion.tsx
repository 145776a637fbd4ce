import { fm, percent } from '../../../shared/format';
import { t } from '../../../shared/words';
import { Select } from '../../../ui/Select';
import { useTexts } from '../../classQueries';
import { useFits } from '../../tray/useFits';
import type { Plan } from '../week/useWeek';
import type { Place } from './places';

/** The version a reader has of a text nothing has been answered on, which can be changed; each says how it fits. */
export function OtherVersion({ k, textId, classId, plan }: { k: Place; textId: string; classId: string; plan: Plan }) {
  const fit = useFits(classId, [k.readerId], [textId]).data?.[0];
  const text = useTexts(classId, [textId]).data?.find((x) => x.id === textId);
  const versions = text?.versions ?? [];
  const now = versions.find((v) => v.depth === k.depth);
  if (!fit || !now || versions.length < 2) return null;
  return (
    <div className="col-span-2">
      <Select
        label={t('Version')}
        value={now.id}
        set={(versionId) => void plan.quietly(plan.version(k.id, versionId))}
        options={versions.map((v) => ({
          value: v.id,
          label: t('{{depth}} fm, fit {{fit}}', {
            depth: fm(v.depth),
            fit: percent((fit.versions.find((f) => f.versionId === v.id)?.forecast ?? 0) / 100),
          }),
        }))}
      />
    </div>
  );
}
