import { X } from '@phosphor-icons/react';
import { useMutation } from '@tanstack/react-query';
import { Link, useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { clock, dayOf, fm, halfRange, percent, signed, timeOf } from '../../shared/format';
import { phrase, type Phrase, say, t } from '../../shared/words';
import { calledIn, useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { setAsideSentences } from '../../shared/setAside';
import { seasonWords, partNames, useCheck, type Check, type Part, type Sitting } from './checkQueries';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Show } from '../../ui/Show';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

type Changed = Api<'CheckChanged'>;

/** One level check: who is where now, what each part came to, and what to give again. */
export default function CheckPage() {
  const { checkId } = useParams();
  const check = useCheck(checkId);
  return <Show query={check}>{(k) => <Watched k={k} />}</Show>;
}

function Watched({ k }: { k: Check }) {
  const data = useOutletContext<Place | undefined>()?.data;
  const called = calledIn(data);
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
    <ListPage>
      <PageHead
        title={say(k.name)}
        beside={
          <p className="text-soft">
            {t('Readers see “{{title}}”', { title: k.readerTitle })}
            {k.season && ` · ${t('{{season}} window', { season: t(seasonWords[k.season]) })}`} · {k.by},{' '}
            {dayOf(k.opensOn ?? k.madeAt)}
            {k.closesOn && ` – ${dayOf(k.closesOn)}`}
            {k.colleagues.length > 0 &&
              ` · ${t('with {{names}}', { names: k.colleagues.map((c) => c.name).join(', ') })}`}
          </p>
        }
      >
        {k.mayChange && (
          <>
            <Button asChild>
              <Link to="change">{t('Edit…')}</Link>
            </Button>
            <Button
              disabled={act.isPending}
              onClick={() =>
                act.mutate(() => ok(api.POST('/checks/{checkId}/close', { params, body: { closed: !k.over } })))
              }
            >
              {k.over ? t('Reopen') : t('End check')}
            </Button>
            <Button
              onClick={() =>
                void ok(api.POST('/checks/{checkId}/discard', { params, body: { gone: true } })).then(
                  (done) => {
                    toast.success(say(done.sentence), {
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
              {t('Take back')}
            </Button>
          </>
        )}
        {again.length > 0 && (
          <Button
            look="main"
            disabled={act.isPending}
            onClick={() => act.mutate(() => ok(api.POST('/checks/{checkId}/again', { params, body: {} })))}
          >
            {t('Give parts again to {{count}} readers', { count: again.length })}
          </Button>
        )}
      </PageHead>
      <TableScroll label={t('Readers and parts')}>
        <TableHead>
          <tr>
            <Th>{t('Reader')}</Th>
            {many && <Th>{t('Class')}</Th>}
            {parts.map((p) => (
              <Th className="first-letter:uppercase" key={p}>
                {t(partNames[p])}
              </Th>
            ))}
            <Th num>{t('Before')}</Th>
            <Th num>{t('Level now')}</Th>
            <Th num>{t('Moved')}</Th>
            <Th>{t('Last seen')}</Th>
            <Th num>
              <span className="sr-only">{t('Next step')}</span>
            </Th>
          </tr>
        </TableHead>
        <TableBody>
          {k.sittings.map((s) => (
            <tr key={s.id}>
              <Th scope="row">
                {data ? (
                  <Link to={`/class/${data.id}/readers/${s.readerId}`}>
                    {s.givenName} {s.familyName}
                  </Link>
                ) : (
                  `${s.givenName} ${s.familyName}`
                )}
              </Th>
              {many && <Td>{s.class}</Td>}
              {parts.map((p) => (
                <Td key={p}>
                  <PartCell p={s.parts.find((x) => x.part === p)} />
                </Td>
              ))}
              <Td num>{fm(s.before)}</Td>
              <Td num>{s.after == null ? '–' : `${fm(s.after)} ± ${halfRange(sure(s.sd)).toFixed(1)}`}</Td>
              <Td num>{s.after == null ? '–' : signed(s.moved)}</Td>
              <Td>
                {begun(s) ? timeOrDay(s.changedAt) : ''}
                <Late s={s} setAside={k.setAside.filter((x) => x.sittingId === s.id).map((x) => x.work)} />
              </Td>
              <Td>
                <span className="flex justify-end gap-1">
                  {s.again > 0 && (
                    <Button
                      size="sm"
                      onClick={() =>
                        act.mutate(() =>
                          ok(api.POST('/checks/{checkId}/again', { params, body: { readerIds: [s.readerId] } })),
                        )
                      }
                      aria-label={t('Give {{name}} these parts again', { name: called(s.readerId, s.givenName) })}
                    >
                      {t('Give again')}
                    </Button>
                  )}
                  <Button
                    size="sm"
                    square
                    title={t('Take back from {{name}}', { name: called(s.readerId, s.givenName) })}
                    onClick={() =>
                      act.mutate(() =>
                        ok(api.POST('/checks/{checkId}/take-back', { params, body: { readerIds: [s.readerId] } })),
                      )
                    }
                    aria-label={t('Take back from {{name}}', { name: called(s.readerId, s.givenName) })}
                  >
                    <X size={16} aria-hidden />
                  </Button>
                </span>
              </Td>
            </tr>
          ))}
        </TableBody>
      </TableScroll>
      <p className="border-line bg-sand flex min-h-8 items-center gap-4 border-t px-4 text-sm">
        <span>{t('{{n}} of {{count}} readers finished', { n: finished, count: k.sittings.length })}</span>
        <span>{k.over ? t('Ended.') : t('{{n}} under way', { n: inIt })}</span>
      </p>
    </ListPage>
  );
}

/** What came after the check had ended. */
function Late({ s, setAside }: { s: Sitting; setAside: Api<'SetAsideView'>[] }) {
  const said = [
    ...(s.late > 0 ? [t('{{count}} answers sent after the end', { count: s.late })] : []),
    ...setAsideSentences(setAside.filter((x) => x.kind !== 'Reading')),
  ];
  return said.length > 0 && <small className="text-soft"> {said.join(' ')}</small>;
}

const begun = (s: Sitting) => s.parts.some((p) => p.answered > 0 || p.state === 'UnderWay' || p.state === 'Done');
const timeOrDay = (at: string) => (new Date(at).toDateString() === new Date().toDateString() ? timeOf(at) : dayOf(at));
const flags: Partial<Record<Api<'PartFlag'>, Phrase>> = {
  TooFast: phrase('too fast'),
  Thin: phrase('too few answers'),
  Missing: phrase('missed'),
};

/** How a part stands, in a few words: what came of it, or how far it is. */
function PartCell({ p }: { p: Part | undefined }) {
  if (!p) return null;
  if (p.state === 'Skipped')
    return (
      <span className="text-soft">
        {t('skipped')}
        <small> {say(p.note)}</small>
      </span>
    );
  if (p.state === 'Waiting')
    return (
      <span className="text-soft">
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
    <span className="inline-flex items-baseline gap-1.5">
      {p.state === 'UnderWay' && p.flag !== 'Missing' ? (
        t('under way, {{count}} answered', { count: p.answered })
      ) : (
        <span title={t('{{n}} of {{of}} right', { n: p.correct, of: p.answered })}>
          {result} <small className="text-soft">{clock(p.seconds)}</small>
        </span>
      )}
      {p.flag !== 'Fine' && <Flag of={p.flag} />}
    </span>
  );
}

function Flag({ of }: { of: Api<'PartFlag'> }) {
  return (
    <b className="[&_svg]:text-buoy inline-flex items-center gap-1 font-semibold">
      <svg width="10" height="12" viewBox="0 0 10 12" aria-hidden>
        <path d="M1 11V1h7l-2 3 2 3H2.5" fill="none" stroke="currentColor" strokeWidth="1.5" />
      </svg>{' '}
      {flags[of] && t(flags[of])}
    </b>
  );
}
