import { toast } from 'sonner';
import { sentence } from '../../../shared/api';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { useStream, useStreamDeeds } from './streamQueries';

/** Puts an assignment in the class's stream, or takes it out again; nothing where the class has none. */
export function ShareButton({ classId, assignmentId }: { classId: string; assignmentId: string }) {
  const stream = useStream(classId);
  const deeds = useStreamDeeds(classId);
  if (stream.data?.course == null) return null;
  const shared = stream.data.shared.find((x) => x.assignmentId === assignmentId);
  const doing = (deed: Promise<unknown>, said: string) =>
    void deed.then(
      () => toast.success(said),
      (e: unknown) => toast.error(sentence(e)),
    );
  return shared ? (
    <Button onClick={() => doing(deeds.stop(assignmentId), t('Removed from class stream'))}>
      {t('Remove from class stream')}
    </Button>
  ) : (
    <Button onClick={() => doing(deeds.share(assignmentId), t('Shared to class stream'))}>
      {t('Share to class stream')}
    </Button>
  );
}
