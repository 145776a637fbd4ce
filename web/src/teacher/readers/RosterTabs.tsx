import { NavLink } from 'react-router';
import { t } from '../../shared/words';

const views = [
  ['', 'Levels'],
  ['roster', 'Roster'],
  ['lists', 'Lists'],
  ['guardians', 'Guardians'],
  ['class', 'Class'],
] as const;

/** The views of the readers' place. */
export function RosterTabs({ classId }: { classId: string }) {
  return (
    <nav className="switch tabs" aria-label={t('Views of the readers')}>
      {views.map(([path, name]) => (
        <NavLink key={path} to={`/class/${classId}/readers${path && `/${path}`}`} end>
          {t(name)}
        </NavLink>
      ))}
    </nav>
  );
}
