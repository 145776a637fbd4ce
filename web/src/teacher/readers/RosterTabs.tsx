import { t } from '../../shared/words';
import { SegmentLinks } from '../../ui/Segments';

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
    <SegmentLinks
      label={t('Views of the readers')}
      links={views.map(([path, name]) => ({ to: `/class/${classId}/readers${path && `/${path}`}`, name: t(name) }))}
    />
  );
}
