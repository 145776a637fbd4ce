import { dayOf, fm } from '../../shared/format';
import { t } from '../../shared/words';
import { Checkbox } from '../../ui/Checkbox';
import { Select } from '../../ui/Select';
import { checkOf, checksOf, type Line, type Setting } from './goals';

/** What goals start from, where there is a choice: the school's aims, and a level check in place of the estimate. */
export function Bases({ s, lines, set }: { s: Setting; lines: readonly Line[]; set: (s: Setting) => void }) {
  const checks = checksOf(lines);
  return (
    <>
      {s.kinds.Comprehension && lines.some((l) => l.aim !== null) && (
        <Checkbox checked={s.aims} set={(aims) => set({ ...s, aims, typed: {} })}>
          {t('Comprehension: the school’s aim for the grade')}
        </Checkbox>
      )}
      {s.kinds.Depth && checks.length > 0 && (
        <Select
          label={t('Level goals start from')}
          value={s.check ?? ''}
          set={(check) => set({ ...s, check: check === '' ? null : check, typed: {} })}
          options={[
            { value: '', label: t('Today’s estimate') },
            ...checks.map((c) => ({ value: c.checkId, label: `${c.name}, ${dayOf(c.day)}` })),
          ]}
        />
      )}
    </>
  );
}

/** What the chosen check says of a reader, and that it says something else than the estimate where it does. */
export function CheckSays({ s, l }: { s: Setting; l: Line }) {
  if (s.check === null) return null;
  const check = checkOf(s, l);
  if (!check) return <p className="text-soft text-sm">{t('Has not done this check: starts from the estimate.')}</p>;
  return (
    <p className="text-sm">
      <span className="text-soft">
        {t('Check: {{level}} ± {{half}} fm today.', { level: fm(check.level), half: fm(check.half) })}
      </span>{' '}
      {check.contradicts && (
        <b>{t('The estimate says {{level}} fm: they contradict each other.', { level: fm(l.depth) })}</b>
      )}
    </p>
  );
}
