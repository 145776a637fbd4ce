import { useQuery } from '@tanstack/react-query';
import { Navigate, useSearchParams } from 'react-router';
import { api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { Empty, Loading } from '../../../ui/Show';
import { keepShare } from '../how';

/** Where a class stream leads who wants to choose something for it: to the texts for that class, shared when given. */
export default function PickForStream() {
  const course = useSearchParams()[0].get('course') ?? '';
  const found = useQuery({
    queryKey: keys.streamClass(course),
    queryFn: () => ok(api.GET('/stream-class', { params: { query: { course } } })),
    retry: false,
  });
  if (found.isPending) return <Loading />;
  if (!found.data)
    return (
      <main className="bg-depth-2 grid min-h-screen place-items-center">
        <Empty title={t('No class of yours has this stream')}>
          <p>{t('Connect the class first: Assignments, Share, Class stream.')}</p>
        </Empty>
      </main>
    );
  keepShare(found.data.classId);
  return <Navigate to={`/class/${found.data.classId}/texts`} replace />;
}
