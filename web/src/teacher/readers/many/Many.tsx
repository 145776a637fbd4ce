import { ClipboardText, DownloadSimple } from '@phosphor-icons/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, asFile, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { timeOf } from '../../../shared/format';
import { Secret } from '../../../shared/Secret';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { useSaid, type ClassData } from '../../classQueries';
import type { Place } from '../../frame/Frame';
import { LevelTable } from '../LevelTable';
import { useRoster } from '../roster/rosterQueries';
import { Columns } from './Columns';
import { Grid } from './Grid';
import { isEmpty, padded, type Checked, type GridRow } from './gridRows';
import { Button } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { FileButton } from '../../../ui/FileButton';
import { ListPage, Notice, PageHead } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { Show } from '../../../ui/Show';

/**
 * Many readers at once: typed, pasted from a spreadsheet, or from a file. What is wrong is shown in its cell; what is
 * good can go in at once.
 */
/** Rows that wait for the teacher. */
const unsettled: readonly Api<'RowFate'>[] = ['Question', 'Stopped'];

export default function Many() {
  const { data } = useOutletContext<Place>();
  const draft = useQuery({
    queryKey: keys.draft(data.id),
    staleTime: Infinity,
    gcTime: 0,
    queryFn: () => ok(api.GET('/classes/{classId}/list/draft', { params: { path: { classId: data.id } } })),
  });
  return <Show query={draft}>{(d) => <Sheet data={data} draft={d} />}</Show>;
}

function useDebounced<T>(value: T, ms: number) {
  const [late, setLate] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLate(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return late;
}

function Sheet({ data, draft }: { data: ClassData; draft: Api<'DraftView'> }) {
  const [rows, setRows] = useState<GridRow[]>(() => padded(draft.rows));
  const [system, setSystem] = useState('');
  const [read, setRead] = useState<{ view: Api<'ReadListView'>; body: Blob } | null>(null);
  const [added, setAdded] = useState<Api<'SignInRow'>[]>([]);
  const [levels, setLevels] = useState(false);
  const roster = useRoster(data.id);
  const rosterChanged = useChanged();
  const said = useSaid();
  const late = useDebounced(rows, 350);
  const filled = useMemo(() => late.filter((r) => !isEmpty(r)), [late]);
  const check = useQuery({
    queryKey: keys.listCheck(data.id, late, system),
    enabled: filled.length > 0,
    staleTime: Infinity,
    placeholderData: (before: Checked | undefined) => before,
    queryFn: () =>
      ok(
        api.POST('/classes/{classId}/list/check', {
          params: { path: { classId: data.id } },
          body: { rows: late, levelSystem: system },
        }),
      ),
  });
  const saved = useAutosave(data.id, late, draft.savedAt);
  const systems = roster.data?.systems ?? ['fm'];

  const take = async (body: Blob, fields?: Api<'ListField'>[], heading?: boolean) => {
    try {
      const view = await ok(
        api.POST('/classes/{classId}/list/read', {
          params: { path: { classId: data.id }, query: { fields: fields?.join(','), heading } },
          body,
          ...asFile,
        }),
      );
      setRead({ view, body });
      if (view.levelSystem) setSystem(view.levelSystem);
      setRows(padded(view.rows));
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  const apply = useMutation({
    mutationFn: () =>
      ok(
        api.POST('/classes/{classId}/list/apply', {
          params: { path: { classId: data.id } },
          body: { rows, levelSystem: system },
        }),
      ),
    onSuccess: (done) => {
      setAdded((before) => [...before, ...done.added]);
      // What could not go in stays where it can be put right.
      setRows(padded(rows.filter((_, i) => unsettled.includes(done.done.rows[i]?.fate ?? 'Empty'))));
      setRead(null);
      const { new: fresh, joins, changed, unchanged } = done.done;
      said(
        [
          fresh && t('{{count}} readers added', { count: fresh }),
          joins && t('{{n}} joined', { n: joins }),
          done.done.asked > 0 && t('{{count}} requested', { count: done.done.asked }),
          changed && t('{{n}} changed', { n: changed }),
          unchanged && t('{{n}} unchanged', { n: unchanged }),
        ]
          .filter(Boolean)
          .join(', ') || t('Nothing to do'),
        done.changeId,
      );
      void rosterChanged('roster');
    },
    onError: (e) => toast.error(`${sentence(e)} ${t('What you typed is still here.')}`),
  });
  const result = filled.length > 0 ? check.data : undefined;
  const good = result ? result.new + result.joins + result.asked + result.changed : 0;
  const current = late === rows && !check.isFetching;
  return (
    <ListPage>
      <PageHead
        title={t('Add many readers')}
        beside={
          <>
            <FileButton label={t('Choose a file')} accept=".csv,.tsv,.txt,.xlsx" take={(file) => void take(file)} />
            <Button asChild>
              <a href="/api/list-template.xlsx">
                <DownloadSimple size={20} aria-hidden />
                {t('Template')}
              </a>
            </Button>
            <Select
              label={t('Level unit')}
              inline
              value={system}
              set={setSystem}
              options={[{ value: '', label: t('as written') }, ...systems.map((s) => ({ value: s, label: s }))]}
            />
            <Button look="plain" onClick={() => setLevels(true)}>
              {t('Levels side by side')}
            </Button>
          </>
        }
      >
        <Button asChild look="plain">
          <Link to={`/class/${data.id}/readers/roster`}>{t('Back to the roster')}</Link>
        </Button>
      </PageHead>
      {levels && (
        <Dialog title={t('Levels side by side')} close={() => setLevels(false)}>
          <LevelTable
            rows={data.levelChart}
            own={data.ownColumns}
            level={-99}
            choose={(fm) => {
              void navigator.clipboard?.writeText(`${fm} fm`);
              toast.success(t('Copied {{fm}} fm', { fm }));
            }}
          />
        </Dialog>
      )}
      {read && <Columns view={read.view} change={(fields, heading) => void take(read.body, fields, heading)} />}
      {added.length > 0 && <Added data={data} added={added} close={() => setAdded([])} />}
      <Grid
        rows={rows}
        checked={current || late.length === rows.length ? result : undefined}
        change={(next) => setRows(padded(next))}
      />
      <footer className="border-line bg-sand flex min-h-12 items-center gap-4 border-t px-4 text-sm">
        <span>
          {result ? (
            <>
              <b>{t('{{n}} new,', { n: result.new })}</b> {t('{{n}} join', { n: result.joins })},{' '}
              {t('{{n}} changed', { n: result.changed })}, {t('{{n}} unchanged', { n: result.unchanged })}
              {result.asked > 0 && <>, {t('{{count}} requested', { count: result.asked })}</>}
              {result.kept > 0 && (
                <>
                  ,{' '}
                  <b className="decoration-buoy underline decoration-2 underline-offset-3">
                    {t('{{count}} to fix', { count: result.kept })}
                  </b>
                </>
              )}
            </>
          ) : (
            <>
              <ClipboardText size={16} aria-hidden />{' '}
              {t('Type, paste cells from a spreadsheet, or choose a file. Only a name is needed.')}
            </>
          )}
        </span>
        <span className="ml-auto" role="status">
          {saved && t('Saved {{time}}', { time: timeOf(saved) })}
        </span>
        <Button
          disabled={rows.every(isEmpty)}
          onClick={() => {
            setRows(padded([]));
            setRead(null);
          }}
        >
          {t('Clear')}
        </Button>
        <Button look="main" disabled={!current || good === 0 || apply.isPending} onClick={() => apply.mutate()}>
          {good === 0 ? t('No rows yet') : t('Save {{count}} rows', { count: good })}
        </Button>
      </footer>
    </ListPage>
  );
}

/** Keeps what is typed on the server as it grows, so that no "Save" can be forgotten. */
function useAutosave(classId: string, rows: GridRow[], first: string | null) {
  const [saved, setSaved] = useState(first);
  const before = useRef<GridRow[] | null>(null);
  useEffect(() => {
    if (before.current === null) {
      before.current = rows;
      return;
    }
    if (before.current === rows) return;
    before.current = rows;
    void ok(
      api.PUT('/classes/{classId}/list/draft', {
        params: { path: { classId } },
        body: {
          rows: rows.filter((r) => !isEmpty(r)),
          levelSystem: '',
        },
      }),
    ).then(
      (d) => setSaved(d.savedAt),
      () => setSaved(null),
    );
  }, [classId, rows]);
  return saved;
}

/** Everybody who came in can sign in at once. */
function Added({ data, added, close }: { data: ClassData; added: Api<'SignInRow'>[]; close: () => void }) {
  const ids = added.map((a) => a.readerId).join(',');
  return (
    <Notice kind="action" className="max-h-[45%] flex-none overflow-auto" aria-label={t('Sign-ins of new readers')}>
      <p>
        <b>{t('{{count}} can sign in now', { count: added.length })}</b>,{' '}
        {t('class code {{code}}', { code: data.code })}{' '}
        <Button asChild size="sm">
          <a href={`/api/classes/${data.id}/print/Cards.pdf?readers=${ids}`} target="_blank" rel="noreferrer">
            {t('Print cards')}
          </a>
        </Button>{' '}
        <Button asChild size="sm">
          <a href={`/api/classes/${data.id}/print/Letters.pdf?readers=${ids}`} target="_blank" rel="noreferrer">
            {t('Print guardian letters')}
          </a>
        </Button>{' '}
        <Button look="plain" size="sm" onClick={close}>
          {t('Close')}
        </Button>
      </p>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(340px,1fr))] gap-x-6 gap-y-0.5">
        {added.map((a) => (
          <li key={a.readerId} className="flex min-h-8 items-center gap-2.5">
            <b>
              {a.givenName} {a.familyName}
            </b>{' '}
            <span>{a.userName}</span>
            <Secret small kind={a.secretKind} secret={a.secret} />
          </li>
        ))}
      </ul>
    </Notice>
  );
}
