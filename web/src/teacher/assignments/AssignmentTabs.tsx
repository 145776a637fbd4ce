import { t } from '../../shared/words';
import { SegmentLinks } from '../../ui/Segments';

/** The views of the assignments, and the level checks beside them. */
export function AssignmentTabs({ classId }: { classId: string }) {
  const links = [
    ['', t('Week')],
    ['/where', t('Who is where')],
    ['/all', t('All')],
    ['/plans', t('Plans')],
    ['/checks', t('Level checks')],
  ] as const;
  return (
    <SegmentLinks
      label={t('Assignment views')}
      links={links.map(([path, name]) => ({ to: `/class/${classId}/assignments${path}`, name }))}
    />
  );
}
