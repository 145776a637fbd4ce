import { cx } from 'class-variance-authority';
import { DownloadSimple, IdentificationCard } from '@phosphor-icons/react';
import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { useOutletContext, useParams } from 'react-router';
import { api, ok } from '../../shared/api';
import { Secret } from '../../shared/Secret';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useReader } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { HomeMessages } from '../homeMessages/HomeMessages';
import { Oral } from '../oral/Oral';
import { Absences } from './Absences';
import { Account } from './Account';
import { DepthScale } from './DepthScale';
import { Falls } from './Falls';
import { Trail } from './Trail';
import { OwnChoice } from './OwnChoice';
import { ReadElsewhere } from './ReadElsewhere';
import { GoalBar, rangeWords, ReadingTable, Strands } from './ReaderPieces';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { PageHead, ScrollPage } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';

/** Everything known of one reader. */
export default function Profile() {
  const { data } = useOutletContext<Place>();
  const { readerId = '' } = useParams();
  const reader = useReader(readerId);
  const tray = useTray();
  const [card, setCard] = useState(false);
  return (
    <Show query={reader}>
      {(r) => (
        <ScrollPage>
          <PageHead
            title={`${r.givenName} ${r.familyName}`}
            beside={
              <p className="text-soft">
                {[
                  r.group,
                  t('grade {{grade}}', { grade: r.grade === 0 ? 'K' : r.grade }),
                  t('user name {{name}}', { name: r.userName }),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
            }
          >
            <Button onClick={() => setCard(true)}>
              <IdentificationCard size={20} aria-hidden />
              {t('Sign-in')}
            </Button>
            <Button asChild>
              <a href={`/api/readers/${r.id}/history.csv`} download={`${r.userName}.csv`}>
                <DownloadSimple size={20} aria-hidden />
                {t('Export CSV')}
              </a>
            </Button>
            <Button onClick={() => tray.toggleReader(r.id)}>
              {tray.readers.includes(r.id) ? t('Remove from tray') : t('Add to tray')}
            </Button>
          </PageHead>
          <div
            className={cx(
              'border-line *:border-line grid border-y *:border-b *:px-4 *:pt-3 *:pb-3.5 lg:grid-cols-3',
              'lg:*:border-r',
            )}
          >
            <section>
              <h2>{t('Depth and reach')}</h2>
              <p className="text-soft text-sm">{rangeWords(r)}</p>
              <DepthScale r={r} />
            </section>
            <section className="lg:col-span-2">
              <h2>{t('Level over time')}</h2>
              <Trail r={r} width={640} height={180} links />
              <Falls r={r} classId={data.id} />
            </section>
            <section>
              <h2>{t('Goals')}</h2>
              {r.goals.length === 0 ? (
                <p className="text-soft">{t('No goals this term.')}</p>
              ) : (
                r.goals.map((g) => <GoalBar key={g.kind} goal={g} />)
              )}
            </section>
            <section className="lg:col-span-2">
              <h2>
                {t('Strands')}{' '}
                <span className="font-ui text-soft text-sm font-normal">
                  {t('estimate with 90% range; right on the first try, 12 weeks')}
                </span>
              </h2>
              <Strands strands={r.strands} wide />
            </section>
          </div>
          <Account classId={data.id} reader={r} />
          <Oral classId={data.id} reader={r} />
          <OwnChoice readerId={r.id} mayChange={data.mayAssign} />
          <Absences readerId={r.id} mayChange={data.mayAssign} />
          {data.mayAssign && <HomeMessages readerId={r.id} name={r.givenName} />}
          <ReadElsewhere readerId={r.id} mayConfirm={data.mayAssign} />
          <section aria-labelledby="history">
            <h2 id="history" className="px-4 pt-3.5 pb-1.5">
              {t('Reading history')}
            </h2>
            {r.readings.length === 0 ? (
              <Empty title={t('Nothing read yet')}>
                <p>
                  {t('Texts assigned to {{name}} appear here with dates, time and results.', { name: r.givenName })}
                </p>
              </Empty>
            ) : (
              <ReadingTable classId={data.id} readings={r.readings} />
            )}
          </section>
          {card && <SignInCard readerId={r.id} code={data.code} close={() => setCard(false)} />}
        </ScrollPage>
      )}
    </Show>
  );
}

function SignInCard({ readerId, code, close }: { readerId: string; code: string; close: () => void }) {
  const card = useQuery({
    queryKey: keys.signIn(readerId),
    queryFn: () => ok(api.GET('/readers/{readerId}/sign-in', { params: { path: { readerId } } })),
  });
  return (
    <Dialog title={t('Sign-in')} close={close}>
      <Show query={card}>
        {(c) => (
          <>
            <p>
              {t('Class code')} <b>{code}</b>, {t('then the name')} <b>{c.givenName}</b>
            </p>
            <Secret kind={c.secretKind} secret={c.secret} />
          </>
        )}
      </Show>
    </Dialog>
  );
}
