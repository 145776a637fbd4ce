import { Navigate, useParams } from 'react-router';
import { t } from '../shared/words';
import { ReaderBar, ReaderPage } from '../ui/Reader';
import { PageTitle } from '../ui/PageTitle';
import { Empty, Show } from '../ui/Show';
import { finished, toResult, toTicket, useMine } from './queries';
import { ToMyReading } from './ToMyReading';

/**
 * Where a link to an assignment leads its reader: to the task; when that is done, to the next that was given with it;
 * when all is done, to its result.
 */
export function FromLink() {
  const { assignmentId } = useParams();
  const mine = useMine();
  return (
    <Show query={mine}>
      {(all) => {
        const those = all.filter((k) => k.assignmentId === assignmentId);
        const act = those[0]?.act ?? assignmentId;
        const together = [...those, ...all.filter((k) => k.act === act && k.assignmentId !== assignmentId)];
        const ticket = together.find((k) => !finished(k)) ?? together[0];
        if (ticket) return <Navigate to={finished(ticket) ? toResult(ticket) : toTicket(ticket)} replace />;
        return (
          <ReaderPage>
            <ReaderBar>
              <ToMyReading />
              <PageTitle>{t('My reading')}</PageTitle>
            </ReaderBar>
            <Empty title={t('This is not for you to read now')}>
              <p>{t('Your teacher may have taken it back, or it was for others.')}</p>
            </Empty>
          </ReaderPage>
        );
      }}
    </Show>
  );
}
