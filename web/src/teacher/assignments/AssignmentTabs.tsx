import { useQueryClient } from '@tanstack/react-query';
import { useOutletContext } from 'react-router';
import { useSession } from '../../shared/session';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { SegmentLinks } from '../../ui/Segments';
import { mondayOf } from './week/weekLayout';
import { placesOfWeek } from './where/placesQuery';

/** The views of the assignments, and the level checks beside them. */
export function AssignmentTabs({ classId }: { classId: string }) {
  const several = (useSession().data?.classes ?? []).filter((c) => !c.closed).length > 1;
  const client = useQueryClient();
  const { data } = useOutletContext<Place>();
  const places = () => void client.prefetchQuery(placesOfWeek(classId, mondayOf(data.today)));
  const links = [
    ['', t('Week')],
    ['/where', t('Who is where')],
    ['/all', t('All')],
    ['/plans', t('Plans')],
    ['/checks', t('Level checks')],
    ...(several ? ([['/classes', t('Classes')]] as const) : []),
  ] as const;
  return (
    <SegmentLinks
      label={t('Assignment views')}
      links={links.map(([path, name]) => ({
        to: `/class/${classId}/assignments${path}`,
        name,
        soon: path === '/where' ? places : undefined,
      }))}
    />
  );
}
