import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useAllChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { say, t } from '../../shared/words';
import { useUndo } from '../classQueries';
import { ImportProblems, keyOf } from './ImportProblems';
import { ImportEndings, ImportLines, ImportOrg, ImportSummary } from './ImportPreview';
import { isBusy, stateWord } from './Imports';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { PageHead, ScrollPage } from '../../ui/Page';
import { Show } from '../../ui/Show';

type View = Api<'ImportView'>;
type Mend = Api<'MendRow'>;

/** One import: what it would do, what is wrong with which row and where to fix it, then doing it. */
export default function ImportPage() {
  const { importId = '' } = useParams();
  const view = useQuery({
    queryKey: keys.school.import(importId),
    queryFn: () => ok(api.GET('/school/imports/{importId}', { params: { path: { importId } } })),
    refetchInterval: (q) => (q.state.data && isBusy(q.state.data.state) ? 400 : false),
  });
  return <Show query={view}>{(v) => <Import key={v.mends.length} view={v} />}</Show>;
}

/** What the button does, in figures. */
function deed(p: Api<'ImportPreview'>): string {
  const readers = p.counts.find((c) => c.kind === 'Readers');
  const [added, ended] = [(readers?.added ?? 0) + (readers?.back ?? 0), readers?.ended ?? 0];
  if (p.steps === 0) return t('Nothing to import');
  if (added > 0 && ended > 0) return t('Add {{added}}, end {{count}} readers', { added, count: ended });
  if (added > 0) return t('Add {{count}} readers', { count: added });
  if (ended > 0) return t('End {{count}} readers', { count: ended });
  return t('Import {{count}} changes', { count: p.steps });
}

function Import({ view }: { view: View }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const changed = useAllChanged();
  const undo = useUndo();
  const [cells, setCells] = useState<Record<string, string>>({});
  const [skipped, setSkipped] = useState<Mend[]>([]);
  const [typed, setTyped] = useState('');
  const working = isBusy(view.state);
  const applied = view.state === 'Applied';
  // The lists show what came in.
  useEffect(() => {
    if (applied) void changed();
  }, [applied]); // eslint-disable-line react-hooks/exhaustive-deps
  const ask = useMutation({
    mutationFn: (doIt: () => Promise<unknown>) => doIt(),
    onSuccess: () => void client.invalidateQueries({ queryKey: keys.school.import(view.id) }),
    onError: (e) => toast.error(sentence(e)),
  });
  const p = view.preview;
  const ready = view.state === 'Ready' && p && !p.asksOrg;
  const confirmed = !p?.endings.type || Number(typed) === p.endings.type;
  const fixes = Object.keys(cells).length + skipped.length;
  const check = (org = view.org) => {
    const fixed = Object.entries(cells).map(([key, value]) => ({ ...keyOf(key), value }));
    ask.mutate(() =>
      ok(
        api.POST('/school/imports/{importId}/preview', {
          params: { path: { importId: view.id } },
          body: { org, mends: [...view.mends, ...skipped, ...fixed] },
        }),
      ),
    );
  };
  const discard = () =>
    ok(api.DELETE('/school/imports/{importId}', { params: { path: { importId: view.id } } })).then(
      () => navigate('/school/imports'),
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <ScrollPage className="[&_h2]:px-4 [&_h2]:pt-3 [&_h2]:pb-1.5">
      <PageHead title={view.name} beside={<span className="text-soft">{stateWord(view.state)}</span>}>
        <Button asChild look="plain">
          <Link to="/school/imports">{t('All roster files')}</Link>
        </Button>
        {!working && !applied && <Button onClick={() => void discard()}>{t('Discard import')}</Button>}
        {applied && view.changeId && (
          <Button onClick={() => undo.mutate(sure(view.changeId))}>{t('Undo import')}</Button>
        )}
        {ready && (
          <Button
            look="main"
            disabled={p.steps === 0 || fixes > 0 || !confirmed || ask.isPending}
            onClick={() =>
              ask.mutate(() =>
                ok(
                  api.POST('/school/imports/{importId}/apply', {
                    params: { path: { importId: view.id } },
                    body: { typed: p.endings.type ? Number(typed) : null },
                  }),
                ),
              )
            }
          >
            {deed(p)}
          </Button>
        )}
      </PageHead>
      {working && <Progress view={view} />}
      {view.error && (
        <p className="text-overlay px-4 py-2 text-sm font-semibold" role="alert">
          {say(view.error)}
        </p>
      )}
      {applied && (
        <p className="px-4 py-2" role="status">
          {t('Imported. New readers can sign in: print cards from their classes or from all readers.')}{' '}
          {p && p.stopped > 0 && t('The rows below changed nothing yet. Fix them and check again.')}
        </p>
      )}
      {p && !working && (
        <>
          {p.orgs.length > 1 && <ImportOrg preview={p} org={view.org} choose={check} />}
          {!p.asksOrg && (
            <>
              {ready && p.endings.type !== null && <ImportEndings endings={p.endings} typed={typed} type={setTyped} />}
              <ImportSummary preview={p} />
              {p.problems.length > 0 && (
                <ImportProblems preview={p} cells={cells} setCells={setCells} skipped={skipped} setSkipped={setSkipped}>
                  {p.stopped > 0 && (
                    <p className="flex flex-wrap items-center gap-2 px-4 py-2">
                      <Button disabled={fixes === 0} onClick={() => check()}>
                        {fixes === 0
                          ? t('Fix a value or skip a row')
                          : t('Check again with {{count}} fixes', { count: fixes })}
                      </Button>
                      <span className="text-soft text-sm">
                        {t('Valid rows are imported anyway. What a row to fix names stays as it is.')}
                      </span>
                    </p>
                  )}
                </ImportProblems>
              )}
              <ImportLines preview={p} applied={applied} />
            </>
          )}
        </>
      )}
    </ScrollPage>
  );
}

function Progress({ view }: { view: View }) {
  const stages: Record<Api<'ImportStage'>, string> = {
    Reading: t('Reading the file'),
    Comparing: t('Comparing with the school'),
    Writing: t('Writing'),
  };
  const stage = view.stage ? stages[view.stage] : t('Waiting');
  return (
    <div className="px-4 py-2" role="status">
      <p>
        {stage}… {Math.round(view.progress * 100)}%
      </p>
      <progress value={view.progress} max={1} aria-label={stage} />
      <p className="text-soft text-sm">{t('You can leave. Either all changes are made or none.')}</p>
    </div>
  );
}
