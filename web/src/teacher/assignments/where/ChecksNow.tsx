import { Link } from 'react-router';
import { say, t } from '../../../shared/words';
import { useChecksOn, weekOf } from '../checksOf';

/** The level checks of the week, and how far their readers are. */
export function ChecksNow({ classId, monday }: { classId: string; monday: string }) {
  const { first, last } = weekOf(monday);
  const checks = useChecksOn(classId, first, last).filter((k) => !k.draft);
  if (checks.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-x-5 px-4 pb-1.5 text-sm" aria-label={t('Level checks')}>
      {checks.map((k) => (
        <li key={k.id}>
          <Link to={`/class/${classId}/assignments/checks/${k.id}`}>{say(k.name)}</Link>{' '}
          {t('{{n}} of {{of}} finished, {{open}} under way', { n: k.finished, of: k.readers, open: k.open })}
        </li>
      ))}
    </ul>
  );
}
