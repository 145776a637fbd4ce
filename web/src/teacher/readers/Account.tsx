import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { halfRange } from '../../shared/format';
import { useEvidence } from '../classQueries';
import { evidenceSources } from './evidence';
import { named, t } from '../../shared/words';
import { Judge } from './Judge';
import { LeaveOut } from './LeaveOut';
import { Pieces } from './Pieces';
import { SetLevel, Standing } from './SetLevel';
import { useChange } from './useChange';
import { Button } from '../../ui/Button';
import { Show } from '../../ui/Show';

type Piece = Api<'PieceView'>;
/** What a level is built from: each piece with what it did, what would make it surer, and the teacher's own word. */
export function Account({ classId, reader }: { classId: string; reader: Api<'ReaderView'> }) {
  const account = useEvidence(reader.id);
  const [judging, setJudging] = useState<'judge' | 'set' | null>(null);
  const [leaving, setLeaving] = useState<Piece | null>(null);
  const change = useChange();
  const params = { path: { classId, readerId: reader.id } };
  return (
    <section aria-labelledby="account" className="grid gap-3 px-4 pt-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 id="account">{t('Evidence for the level')}</h2>
        <span className="grow" />
        {account.data?.mayJudge && (
          <>
            <Button onClick={() => setJudging('judge')}>{t('Add judgement…')}</Button>
            <Button onClick={() => setJudging('set')}>{t('Set level…')}</Button>
          </>
        )}
      </div>
      <Show query={account}>
        {(a) => (
          <>
            {a.set && (
              <Standing
                set={a.set}
                may={a.mayJudge}
                end={() =>
                  change.mutate(() => ok(api.DELETE('/classes/{classId}/readers/{readerId}/level', { params })))
                }
              />
            )}
            <dl
              className={cx(
                '[&_dt]:text-soft flex flex-wrap gap-x-6 gap-y-1 [&_dd]:font-semibold [&>div]:flex',
                '[&>div]:gap-1.5',
              )}
            >
              {a.labels.map((l) => (
                <div key={l.system}>
                  <dt>{named(l.system)}</dt>
                  <dd>{l.label}</dd>
                </div>
              ))}
              <div>
                <dt>{a.set ? t('How sure the estimate is') : t('How sure you are')}</dt>
                <dd>
                  ± {halfRange(a.sd).toFixed(1)} fm. {t('It would be')}{' '}
                  {a.surer
                    .map((s) =>
                      t('± {{sd}} fm after one more {{what}}', {
                        sd: halfRange(s.sd).toFixed(1),
                        what: t(evidenceSources[s.what].word),
                      }),
                    )
                    .join(', ')}
                  .
                </dd>
              </div>
            </dl>
            {a.pieces.length === 0 ? (
              <p className="text-soft">{t('No evidence yet. The level is typical of the grade.')}</p>
            ) : (
              <Pieces
                account={a}
                params={params}
                leaveOut={setLeaving}
                include={(p) =>
                  change.mutate(() =>
                    ok(
                      api.PUT('/classes/{classId}/readers/{readerId}/evidence', {
                        params,
                        body: { ids: p.ids, reason: null },
                      }),
                    ),
                  )
                }
              />
            )}
            {judging === 'judge' && (
              <Judge params={params} labels={a.labels} now={a.depth} close={() => setJudging(null)} />
            )}
            {judging === 'set' && (
              <SetLevel params={params} labels={a.labels} now={a.depth} close={() => setJudging(null)} />
            )}
            {leaving && <LeaveOut params={params} piece={leaving} close={() => setLeaving(null)} />}
          </>
        )}
      </Show>
    </section>
  );
}
