import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf, fm, halfRange, signed } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { useOnce } from '../../shared/once';
import { evidenceSources } from './evidence';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { Field, Window } from '../frame/Window';
import { pieceId } from './DepthPieces';
import { SetLevel, Standing } from './SetLevel';
import { sure } from '../../shared/sure';

type Piece = Api<'PieceView'>;
const sures = [
  [2, 'very sure'],
  [4, 'fairly sure'],
  [6, 'roughly'],
] as const;

/** A reader, in the class where they are looked at. */
export interface InClass {
  path: { classId: string; readerId: string };
}

/** What a level is built from: each piece with what it did, what would make it surer, and the teacher's own word. */
export function Account({ classId, reader }: { classId: string; reader: Api<'ReaderView'> }) {
  const account = useQuery({
    queryKey: keys.reader.evidence(reader.id),
    queryFn: () => ok(api.GET('/readers/{readerId}/evidence', { params: { path: { readerId: reader.id } } })),
  });
  const [judging, setJudging] = useState<'judge' | 'set' | null>(null);
  const [leaving, setLeaving] = useState<Piece | null>(null);
  const change = useChange();
  const params = { path: { classId, readerId: reader.id } };
  return (
    <section aria-labelledby="account" className="account">
      <div className="row">
        <h2 id="account">{t('What the level is built from')}</h2>
        <span className="grow" />
        {account.data?.mayJudge && (
          <>
            <button className="btn" onClick={() => setJudging('judge')}>
              {t('Add judgement…')}
            </button>
            <button className="btn" onClick={() => setJudging('set')}>
              {t('Set level…')}
            </button>
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
            <dl className="labels">
              {a.labels.map((l) => (
                <div key={l.system}>
                  <dt>{t(l.system)}</dt>
                  <dd>{l.label}</dd>
                </div>
              ))}
              <div className="surer">
                <dt>{a.set ? t('How sure the estimate is') : t('How sure')}</dt>
                <dd>
                  ± {halfRange(a.sd).toFixed(1)} fm. {t('It would be')}{' '}
                  {a.surer
                    .map((s) =>
                      t('± {{sd}} with a {{what}}', {
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
              <p className="soft">{t('Nothing yet: the level is what is typical of the grade.')}</p>
            ) : (
              <div className="scroll evidence" tabIndex={0} role="region" aria-labelledby="account">
                <table>
                  <thead>
                    <tr>
                      <th>{t('Day')}</th>
                      <th>{t('What')}</th>
                      <th>{t('What it says')}</th>
                      <th className="num">{t('Moved the level')}</th>
                      <th className="num">{t('Level with it')}</th>
                      <th>{t('Counts')}</th>
                    </tr>
                  </thead>
                  <tbody>
                    {a.pieces.map((p) => (
                      <tr key={pieceId(p)} id={pieceId(p)} className={p.counted === 0 ? 'out' : undefined}>
                        <td>{dayOf(p.at)}</td>
                        <td>{t(evidenceSources[p.what].word)}</td>
                        <th scope="row">
                          {p.recordId ? (
                            <Link to={`/class/${classId}/readers/${reader.id}/records/${p.recordId}`}>{p.note}</Link>
                          ) : p.ticketId ? (
                            <Link to={`/class/${classId}/tickets/${p.ticketId}`}>{p.note}</Link>
                          ) : (
                            p.note
                          )}
                          {p.leftOut.map((l) => (
                            <small key={l}>{t('left out: {{what}}', { what: l })}</small>
                          ))}
                        </th>
                        <td className="num">{p.counted === 0 ? '–' : signed(p.moved)}</td>
                        <td className="num">
                          {p.after == null ? '–' : `${fm(p.after)} ± ${halfRange(sure(p.sdAfter)).toFixed(1)}`}
                        </td>
                        <td>
                          {p.reason != null ? (
                            <>
                              <span>{t('left out: {{what}}', { what: p.reason })}</span>{' '}
                              {a.mayJudge && (
                                <button
                                  className="btn small"
                                  onClick={() =>
                                    change.mutate(() =>
                                      ok(
                                        api.PUT('/classes/{classId}/readers/{readerId}/evidence', {
                                          params,
                                          body: { ids: p.ids, reason: null },
                                        }),
                                      ),
                                    )
                                  }
                                  aria-label={t('Take in again: {{what}}', { what: p.note })}
                                >
                                  {t('Take in again')}
                                </button>
                              )}
                            </>
                          ) : !a.mayJudge ? (
                            p.counted > 0 ? (
                              t('yes')
                            ) : (
                              t('no')
                            )
                          ) : p.may ? (
                            <button
                              className="btn small"
                              onClick={() => setLeaving(p)}
                              aria-label={t('Leave out: {{what}}', { what: p.note })}
                            >
                              {t('Leave out')}
                            </button>
                          ) : (
                            t('no')
                          )}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
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

/** Changes evidence; says what was done, with an undo, and shows everything anew. */
export function useChange(done?: () => void) {
  const changed = useChanged();
  const said = useSaid();
  return useMutation({
    mutationFn: (doIt: () => Promise<Api<'RosterChanged'>>) => doIt(),
    onSuccess: (x) => {
      said(x.sentence, x.changeId);
      done?.();
      void changed('level');
    },
  });
}

function LeaveOut({ params, piece, close }: { params: InClass; piece: Piece; close: () => void }) {
  const [reason, setReason] = useState('');
  const change = useChange(close);
  return (
    <Window title={t('Leave this out of the level')} close={close}>
      <form
        noValidate
        onSubmit={(e: FormEvent) => {
          e.preventDefault();
          change.mutate(() =>
            ok(api.PUT('/classes/{classId}/readers/{readerId}/evidence', { params, body: { ids: piece.ids, reason } })),
          );
        }}
      >
        <p>{piece.note}</p>
        <Field
          id="lo-reason"
          label={t('Why')}
          hint={t('It is kept, and can be taken in again.')}
          error={fieldOf(change.error, 'reason') ?? (change.error ? sentence(change.error) : undefined)}
        >
          <input id="lo-reason" type="text" autoFocus value={reason} onChange={(e) => setReason(e.target.value)} />
        </Field>
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main" disabled={change.isPending}>
            {t('Leave it out')}
          </button>
        </p>
      </form>
    </Window>
  );
}

function Judge({
  params,
  labels,
  now,
  close,
}: {
  params: InClass;
  labels: Api<'LabelView'>[];
  now: number;
  close: () => void;
}) {
  const [form, setForm] = useState({ level: fm(now), system: 'fm', sd: 4, reason: '' });
  const once = useOnce();
  const change = useChange(close);
  const other =
    change.error && !['level', 'sd', 'reason'].some((f) => fieldOf(change.error, f))
      ? sentence(change.error)
      : undefined;
  return (
    <Window title={t('Add judgement')} close={close}>
      <form
        noValidate
        onSubmit={(e: FormEvent) => {
          e.preventDefault();
          change.mutate(() =>
            ok(
              api.POST('/classes/{classId}/readers/{readerId}/levels', {
                params,
                body: { ...form, id: once.idOf(form) },
              }),
            ),
          );
        }}
      >
        <p>{t('Combined with other evidence; the surer you are, the more it counts.')}</p>
        <div className="fields">
          <Field id="ju-level" label={t('Level')} error={fieldOf(change.error, 'level')}>
            <input
              id="ju-level"
              type="text"
              autoFocus
              value={form.level}
              onChange={(e) => setForm({ ...form, level: e.target.value })}
            />
          </Field>
          <Field id="ju-system" label={t('Written as')}>
            <select
              id="ju-system"
              value={form.system}
              onChange={(e) => {
                const label = labels.find((l) => l.system === e.target.value);
                setForm({ ...form, system: e.target.value, level: label?.label ?? form.level });
              }}
            >
              {labels.map((l) => (
                <option key={l.system} value={l.system}>
                  {t(l.system)}
                </option>
              ))}
            </select>
          </Field>
          <Field id="ju-sd" label={t('How sure')} error={fieldOf(change.error, 'sd')}>
            <select id="ju-sd" value={form.sd} onChange={(e) => setForm({ ...form, sd: Number(e.target.value) })}>
              {sures.map(([sd, name]) => (
                <option key={sd} value={sd}>
                  {t(name)} (± {halfRange(sd).toFixed(1)} fm)
                </option>
              ))}
            </select>
          </Field>
        </div>
        <Field id="ju-reason" label={t('Why')} error={fieldOf(change.error, 'reason') ?? other}>
          <input
            id="ju-reason"
            type="text"
            value={form.reason}
            onChange={(e) => setForm({ ...form, reason: e.target.value })}
          />
        </Field>
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main" disabled={change.isPending}>
            {t('Add judgement')}
          </button>
        </p>
      </form>
    </Window>
  );
}
