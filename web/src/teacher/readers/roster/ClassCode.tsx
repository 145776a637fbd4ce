import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../../shared/api';
import { useSignInBy } from '../../../shared/session';
import { phrase, t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Card, Row } from '../../../ui/Page';
import { useRosterChange, type Roster } from './rosterQueries';

/** The code readers sign in with, and what else can be done with it. */
export function ClassCode({ roster }: { roster: Roster }) {
  const change = useRosterChange();
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const handOver = async () => {
    try {
      await signInBy(() => ok(api.POST('/session/hand-over', { body: { classId: roster.id } })));
      await navigate(`/read/${roster.code}`);
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  return (
    <Card aria-labelledby="code">
      <h2 id="code">{t('Class code')}</h2>
      <p className="text-2xl font-bold tracking-[0.12em]">{roster.code}</p>
      <p className="text-soft text-sm">
        {t('Readers open {{address}} and type it. They can also ask to join; you decide.', {
          address: `${location.host}/read`,
        })}
      </p>
      <Row>
        <Button onClick={() => void handOver()}>{t('Hand device to class')}</Button>
        {roster.mayChange && (
          <Button
            onClick={() =>
              change.mutate(() => ok(api.POST('/classes/{classId}/code', { params: { path: { classId: roster.id } } })))
            }
          >
            {t('Replace code')}
          </Button>
        )}
      </Row>
      <p className="text-soft text-sm">
        {t(
          phrase(
            'Handing over signs you out and shows the name tiles. Your password brings you back. ' +
              'Replacing the code makes printed cards invalid.',
          ),
        )}
      </p>
    </Card>
  );
}
