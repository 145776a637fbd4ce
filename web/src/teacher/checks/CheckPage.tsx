import { X } from '@phosphor-icons/react';
import { useMutation } from '@tanstack/react-query';
import { Link, useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { clock, dayOf, fm, halfRange, percent, signed, timeOf } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { setAsideSentences } from '../../shared/setAside';
import { seasonWords, partNames, useCheck, type Check, type Part, type Sitting } from './checkQueries';
import './checks.css';
import { sure } from '../../shared/sure';

type Changed = Api<'CheckChanged'>;

/** One level check: who is where now, what each part came to, and what to give again. */
export default function CheckPage() {
  const { checkId } = useParams();
  const check = useCheck(checkId);
  return <Show query={check}>{(k) => <Watched k={k} />}</Show>;
}

function Watched({ k }: { k: Check }) {
  const data = useOutletContext<Place | undefined>()?.data;
  const navigate = useNavigate();
  const changed = useChanged();
  const said = useSaid();
  const params = { path: { checkId: k.id } };
  const act = useMutation({
    mutationFn: (doIt: () => Promise<Changed>) => doIt(),
    onSuccess: (done) => {
      said(done.sentence, done.changeId);
      void changed('checks');
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const parts = k.plan.parts.map((p) => p.part);
  const again = k.sittings.filter((s) => s.again > 0);
  const finished = k.sittings.filter((s) => s.parts.every((p) => p.state === 'Done' || p.state === 'Skipped')).length;
  const inIt = k.sittings.filter((s) => s.parts.some((p) => p.state === 'UnderWay')).length;
  const many = new Set(k.sittings.map((s) => s.class)).size > 1;
  return (
    <section className="listpage checkpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{k.staffTitle}</h1>
        <p className="soft">
          {t('Readers know it as “{{title}}”', { title: k.readerTitle })}
          {k.season && ` · ${t('{{season}} window', { season: t(seasonWords[k.season]) })}`} · {k.by},{' '}
          {dayOf(k.opensOn ?? k.madeAt)}
          {k.closesOn && ` – ${dayOf(k.closesOn)}`}
          {k.colleagues.length > 0 &&
            ` · ${t('with {{names}}', { names: k.colleagues.map((c) => c.name).join(', ') })}`}
        </p>
        <span className="grow" />
        {k.mayChange && (
          <>
            <Link className="btn" to="change">
              {t('Change…')}
            </Link>
            <button
              className="btn"
              disabled={act.isPending}
              onClick={() =>
                act.mutate(() => ok(api.POST('/checks/{checkId}/close', { params, body: { closed: !k.over } })))
              }
            >
              {k.over ? t('Open it again') : t('End it now')}
            </button>
            <button
              className="btn"
              onClick={() =>
                void ok(api.POST('/checks/{checkId}/discard', { params, body: { gone: true } })).then(
                  (done) => {
                    toast.success(done.sentence, {
                      duration: 15_000,
                      action: {
                        label: t('Undo'),
                        onClick: () =>
                          act.mutate(() =>
                            ok(api.POST('/checks/{checkId}/discard', { params, body: { gone: false } })),
                          ),
                      },
                    });
                    void changed('checks');
                    void navigate('..', { relative: 'path' });
                  },
                  (e: unknown) => toast.error(sentence(e)),
                )
              }
            >
              {t('Take it back')}
            </button>
          </>
        )}
        {again.length > 0 && (
          <button
            className="btn main"
            disabled={act.isPending}
            onClick={() => act.mutate(() => ok(api.POST('/checks/{checkId}/again', { params, body: {} })))}
          >
            {t('Give {{count}} readers the parts again', { count: again.length })}
          </button>
        )}
      </div>
      <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
        <table>
          <thead>
            <tr>
              <th>{t('Reader')}</th>
              {many && <th>{t('Class')}</th>}
              {parts.map((p) => (
                <th key={p} className="part">
                  {t(partNames[p])}
                </th>
              ))}
              <th className="num">{t('Before')}</th>
              <th className="num">{t('Level now')}</th>
              <th className="num">{t('Moved')}</th>
              <th>{t('Last seen')}</th>
              <th className="num">
                <span className="hide">{t('What to do')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {k.sittings.map((s) => (
              <tr key={s.id}>
                <th scope="row">
                  {data ? (
                    <Link to={`/class/${data.id}/readers/${s.readerId}`}>
                      {s.givenName} {s.familyName}
                    </Link>
                  ) : (
                    `${s.givenName} ${s.familyName}`
                  )}
                </th>
                {many && <td>{s.class}</td>}
                {parts.map((p) => (
                  <td key={p}>
                    <PartCell p={s.parts.find((x) => x.part === p)} />
                  </td>
                ))}
                <td className="num">{fm(s.before)}</td>
                <td className="num">
                  {s.after == null ? '–' : `${fm(s.after)} ± ${halfRange(sure(s.sd)).toFixed(1)}`}
                </td>
                <td className="num">{s.after == null ? '–' : signed(s.moved)}</td>
                <td>
                  {begun(s) ? timeOrDay(s.changedAt) : ''}
                  <Late s={s} setAside={k.setAside.filter((x) => x.sittingId === s.id).map((x) => x.work)} />
                </td>
                <td>
                  <span className="checkacts">
                    {s.again > 0 && (
                      <button
                        className="btn small"
                        onClick={() =>
                          act.mutate(() =>
                            ok(api.POST('/checks/{checkId}/again', { params, body: { readerIds: [s.readerId] } })),
                          )
                        }
                        aria-label={t('Give {{name}} these parts again', { name: s.givenName })}
                      >
                        {t('Give again')}
                      </button>
                    )}
                    <button
                      className="btn small square"
                      title={t('Take it back from {{name}}', { name: s.givenName })}
                      onClick={() =>
                        act.mutate(() =>
                          ok(api.POST('/checks/{checkId}/withdraw', { params, body: { readerIds: [s.readerId] } })),
                        )
                      }
                      aria-label={t('Take it back from {{name}}', { name: s.givenName })}
                    >
                      <X size={16} aria-hidden />
                    </button>
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="foot">
        <span>{t('{{n}} of {{of}} readers finished', { n: finished, of: k.sittings.length })}</span>
        <span>{k.over ? t('It has ended.') : t('{{n}} in it now', { n: inIt })}</span>
      </p>
    </section>
  );
}

/** What came after the check had ended. */
function Late({ s, setAside }: { s: Sitting; setAside: Api<'SetAsideView'>[] }) {
  const said = [
    ...(s.late > 0 ? [t('{{count}} answers sent after the end', { count: s.late })] : []),
    ...setAsideSentences(setAside.filter((x) => x.kind !== 'Reading')),
  ];
  return said.length > 0 && <small className="soft"> {said.join(' ')}</small>;
}

const begun = (s: Sitting) => s.parts.some((p) => p.answered > 0 || p.state === 'UnderWay' || p.state === 'Done');
const timeOrDay = (at: string) => (new Date(at).toDateString() === new Date().toDateString() ? timeOf(at) : dayOf(at));
const flags: Partial<Record<Api<'PartFlag'>, string>> = {
  Rushed: 'rushed',
  Thin: 'too few answers',
  Missing: 'missed',
};

/** How a part stands, in a few words: what came of it, or how far it is. */
function PartCell({ p }: { p: Part | undefined }) {
  if (!p) return null;
  if (p.state === 'Skipped')
    return (
      <span className="soft">
        {t('spared')}
        <small> {t(p.note)}</small>
      </span>
    );
  if (p.state === 'Waiting')
    return (
      <span className="soft">
        {p.flag === 'Missing' ? <Flag of="Missing" /> : p.rounds > 1 ? t('given again') : '·'}
      </span>
    );
  const result =
    p.score != null
      ? t('{{n}} a minute', { n: p.score.toFixed(1) })
      : p.answered > 0
        ? `${percent(p.correct / p.answered)}`
        : '';
  return (
    <span className="partcell">
      {p.state === 'UnderWay' && p.flag !== 'Missing' ? (
        t('in it, {{n}} answered', { n: p.answered })
      ) : (
        <span title={t('{{n}} of {{of}} right', { n: p.correct, of: p.answered })}>
          {result} <small className="soft">{clock(p.seconds)}</small>
        </span>
      )}
      {p.flag !== 'Fine' && <Flag of={p.flag} />}
    </span>
  );
}

function Flag({ of }: { of: Api<'PartFlag'> }) {
  return (
    <b className="checkflag">
      <svg width="10" height="12" viewBox="0 0 10 12" aria-hidden>
        <path d="M1 11V1h7l-2 3 2 3H2.5" fill="none" stroke="currentColor" strokeWidth="1.5" />
      </svg>{' '}
      {t(flags[of] ?? '')}
    </b>
  );
}
