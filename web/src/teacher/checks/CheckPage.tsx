import { useMutation } from '@tanstack/react-query';
import { Link, useNavigate, useOutletContext, useParams, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { say, t } from '../../shared/words';
import { useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { CheckList } from './CheckList';
import { useCheck, type Check } from './checkQueries';
import { OnTheLine } from './OnTheLine';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Show } from '../../ui/Show';

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
  const [search, setSearch] = useSearchParams();
  const view = search.get('view') === 'list' ? 'list' : 'line';
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
  const doIt = (of: () => Promise<Changed>) => act.mutate(of);
  const again = k.sittings.filter((s) => s.again > 0);
  const finished = k.sittings.filter((s) => s.parts.every((p) => p.state === 'Done' || p.state === 'Skipped')).length;
  const inIt = k.sittings.filter((s) => s.parts.some((p) => p.state === 'UnderWay')).length;
  return (
    <ListPage>
      <PageHead
        title={say(k.name)}
        beside={<p className="text-soft">{t('Readers see “{{title}}”', { title: k.readerTitle })}</p>}
      >
        <Segments
          label={t('View')}
          value={view}
          set={(v) => setSearch(v === 'list' ? { view: v } : {}, { replace: true })}
          options={[
            { value: 'line', label: t('On the line') },
            { value: 'list', label: t('List') },
          ]}
        />
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
      {view === 'list' ? <CheckList k={k} data={data} act={doIt} /> : <OnTheLine k={k} data={data} />}
      <p className="border-line bg-sand flex min-h-8 items-center gap-4 border-t px-4 text-sm">
        <span>{t('{{n}} of {{count}} readers finished', { n: finished, count: k.sittings.length })}</span>
        <span className="text-soft ml-auto">
          {k.by}, {dayOf(k.opensOn ?? k.madeAt)}
          {k.closesOn && ` – ${dayOf(k.closesOn)}`}
          {k.colleagues.length > 0 &&
            ` · ${t('with {{names}}', { names: k.colleagues.map((c) => c.name).join(', ') })}`}
        </span>
        <span className="-order-1">{k.over ? t('Ended.') : t('{{n}} under way', { n: inIt })}</span>
      </p>
    </ListPage>
  );
}
