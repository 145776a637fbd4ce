import { ArrowLeft } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { t } from '../../shared/words';
import { SegmentLinks } from '../../ui/Segments';

/** The views of one assignment. */
export const AssignmentViews = ({ classId, assignmentId }: { classId: string; assignmentId: string }) => (
  <SegmentLinks
    label={t('Views of the assignment')}
    links={[
      { to: `/class/${classId}/assignments/${assignmentId}`, name: t('Readers') },
      { to: `/class/${classId}/assignments/${assignmentId}/results`, name: t('Results') },
    ]}
  />
);

export const BackToAssignments = ({ classId }: { classId: string }) => (
  <Link to={`/class/${classId}/assignments/all`} className="inline-flex min-h-6 items-center gap-1 text-sm">
    <ArrowLeft size={16} aria-hidden />
    {t('Assignments')}
  </Link>
);
