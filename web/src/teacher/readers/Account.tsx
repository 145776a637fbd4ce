import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { dayOf, fm, halfRange, signed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { useOnce } from '../../shared/once';
import { evidenceSources } from './evidence';
import { named, say, t } from '../../shared/words';
import { pieceId } from './DepthPieces';
import { SetLevel, Standing } from './SetLevel';
import { LevelFields } from './LevelFields';
import { useChange, type InClass } from './useChange';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { FieldRow } from '../../ui/Field';
import { Form } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Piece = Api<'PieceView'>;
const sures = [
  [2, 'very sure'],
  [4, 'fairly sure'],
  [6, 'roughly'],
] as const;

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
              <div
                className="border-ink max-h-105 overflow-auto border-t"
                tabIndex={0}
                role="region"
                aria-labelledby="account"
              >
                <Table>
                  <TableHead>
                    <tr>
                      <Th>{t('Day')}</Th>
                      <Th>{t('What')}</Th>
                      <Th>{t('Result')}</Th>
                      <Th num>{t('Level change')}</Th>
                      <Th num>{t('Level after')}</Th>
                      <Th>{t('Counts')}</Th>
                    </tr>
                  </TableHead>
                  <TableBody>
                    {a.pieces.map((p) => (
                      <tr
                        key={pieceId(p)}
                        id={pieceId(p)}
                        className={cx('target:bg-tint', p.counted === 0 && 'text-soft')}
                      >
                        <Td>{dayOf(p.at)}</Td>
                        <Td>{t(evidenceSources[p.what].word)}</Td>
                        <Th scope="row">
                          {p.recordId ? (
                            <Link to={`/class/${classId}/readers/${reader.id}/records/${p.recordId}`}>
                              {say(p.note)}
                            </Link>
                          ) : p.ticketId ? (
                            <Link to={`/class/${classId}/tickets/${p.ticketId}`}>{say(p.note)}</Link>
                          ) : (
                            say(p.note)
                          )}
                          {p.leftOut.map((l) => (
                            <small key={say(l)}>{t('left out: {{what}}', { what: say(l) })}</small>
                          ))}
                        </Th>
                        <Td num>{p.counted === 0 ? '–' : signed(p.moved)}</Td>
                        <Td num>
                          {p.after == null ? '–' : `${fm(p.after)} ± ${halfRange(sure(p.sdAfter)).toFixed(1)}`}
                        </Td>
                        <Td>
                          {p.reason != null ? (
                            <>
                              <span>{t('left out: {{what}}', { what: p.reason })}</span>{' '}
                              {a.mayJudge && (
                                <Button
                                  size="sm"
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
                                  aria-label={t('Include: {{what}}', { what: say(p.note) })}
                                >
                                  {t('Include')}
                                </Button>
                              )}
                            </>
                          ) : !a.mayJudge ? (
                            p.counted > 0 ? (
                              t('yes')
                            ) : (
                              t('no')
                            )
                          ) : p.may ? (
                            <Button
                              size="sm"
                              onClick={() => setLeaving(p)}
                              aria-label={t('Leave out: {{what}}', { what: say(p.note) })}
                            >
                              {t('Leave out')}
                            </Button>
                          ) : (
                            t('no')
                          )}
                        </Td>
                      </tr>
                    ))}
                  </TableBody>
                </Table>
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

function LeaveOut({ params, piece, close }: { params: InClass; piece: Piece; close: () => void }) {
  const [reason, setReason] = useState('');
  const change = useChange(close);
  return (
    <Dialog title={t('Leave out of level')} close={close}>
      <Form
        onSubmit={(e: FormEvent) => {
          e.preventDefault();
          change.mutate(() =>
            ok(api.PUT('/classes/{classId}/readers/{readerId}/evidence', { params, body: { ids: piece.ids, reason } })),
          );
        }}
      >
        <p>{say(piece.note)}</p>
        <TextField
          label={t('Why')}
          hint={t('It stays here, and you can include it again.')}
          error={fieldOf(change.error, 'reason') ?? (change.error ? sentence(change.error) : undefined)}
          autoFocus
          value={reason}
          set={setReason}
        />
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={change.isPending}>
            {t('Leave out')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
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
    <Dialog title={t('Add judgement')} close={close}>
      <Form
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
        <FieldRow>
          <LevelFields
            value={form}
            labels={labels}
            error={fieldOf(change.error, 'level')}
            set={(written) => setForm({ ...form, ...written })}
          />
          <Select
            label={t('How sure you are')}
            error={fieldOf(change.error, 'sd')}
            value={form.sd}
            set={(value) => setForm({ ...form, sd: Number(value) })}
            options={sures.map(([sd, name]) => ({ value: sd, label: `${t(name)} (± ${halfRange(sd).toFixed(1)} fm)` }))}
          />
        </FieldRow>
        <TextField
          label={t('Why')}
          error={fieldOf(change.error, 'reason') ?? other}
          value={form.reason}
          set={(value) => setForm({ ...form, reason: value })}
        />
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={change.isPending}>
            {t('Add judgement')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
