import { t } from '../../shared/words';
import { SegmentLinks } from '../../ui/Segments';

/** Groups and their meetings. */
export const GroupViews = ({ classId }: { classId: string }) => (
  <SegmentLinks
    label={t('Views of groups')}
    links={[
      { to: `/class/${classId}/groups`, name: t('Groups') },
      { to: `/class/${classId}/groups/meetings`, name: t('Meetings') },
    ]}
  />
);
