import { ClipboardText, DownloadSimple } from '@phosphor-icons/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, asFile, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { timeOf } from '../../../shared/format';
import { Secret } from '../../../shared/Secret';
import { Show } from '../../../shared/Whole';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { useSaid, type ClassData } from '../../classQueries';
import { FileButton } from '../../frame/FileButton';
import type { Place } from '../../frame/Frame';
import { Window } from '../../frame/Window';
import { LevelTable } from '../LevelTable';
import { useRoster } from '../roster/rosterQueries';
import { Columns } from './Columns';
import { Grid } from './Grid';
import { isEmpty, padded, type Checked, type GridRow } from './gridRows';

/** Many readers at once: typed, pasted from a spreadsheet, or from a file. What is wrong is shown in its cell; what is good can go in at once. */
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
          done.done.asked > 0 && t('{{count}} asked for', { count: done.done.asked }),
          changed && t('{{n}} changed', { n: changed }),
          unchanged && t('{{n}} as they were', { n: unchanged }),
        ]
          .filter(Boolean)
          .join(', ') || t('Nothing to do'),
        done.changeId,
      );
      void rosterChanged('roster');
    },
    onError: (e) => toast.error(`${sentence(e)} ${t('What you typed is kept.')}`),
  });
  const result = filled.length > 0 ? check.data : undefined;
  const good = result ? result.new + result.joins + result.asked + result.changed : 0;
  const current = late === rows && !check.isFetching;
  return (
    <section className="manypage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Add many readers')}</h1>
        <FileButton label={t('Choose a file')} accept=".csv,.tsv,.txt,.xlsx" take={(file) => void take(file)} />
        <a className="btn" href="/api/list-template.xlsx">
          <DownloadSimple size={20} aria-hidden />
          {t('Template')}
        </a>
        <label>
          {t('Levels are in')}{' '}
          <select value={system} onChange={(e) => setSystem(e.target.value)}>
            <option value="">{t('as written')}</option>
            {systems.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </select>
        </label>
        <button className="btn plain" onClick={() => setLevels(true)}>
          {t('Levels side by side')}
        </button>
        <span className="grow" />
        <Link className="btn plain" to={`/class/${data.id}/readers/roster`}>
          {t('Back to the roster')}
        </Link>
      </div>
      {levels && (
        <Window title={t('Levels side by side')} close={() => setLevels(false)}>
          <LevelTable
            rows={data.levelChart}
            own={data.ownColumns}
            level={-99}
            choose={(fm) => {
              void navigator.clipboard?.writeText(`${fm} fm`);
              toast.success(t('{{fm}} fm is copied', { fm }));
            }}
          />
        </Window>
      )}
      {read && <Columns view={read.view} change={(fields, heading) => void take(read.body, fields, heading)} />}
      {added.length > 0 && <Added data={data} added={added} close={() => setAdded([])} />}
      <Grid
        rows={rows}
        checked={current || late.length === rows.length ? result : undefined}
        change={(next) => setRows(padded(next))}
      />
      <div className="foot">
        <span>
          {result ? (
            <>
              <b>{t('{{n}} new,', { n: result.new })}</b> {t('{{n}} join', { n: result.joins })},{' '}
              {t('{{n}} changed', { n: result.changed })}, {t('{{n}} as they are', { n: result.unchanged })}
              {result.asked > 0 && <>, {t('{{count}} asked for', { count: result.asked })}</>}
              {result.kept > 0 && (
                <>
                  , <b className="keptback">{t('{{n}} kept back to be put right', { n: result.kept })}</b>
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
        <span className="grow" role="status">
          {saved && t('Kept {{time}}', { time: timeOf(saved) })}
        </span>
        <button
          className="btn"
          disabled={rows.every(isEmpty)}
          onClick={() => {
            setRows(padded([]));
            setRead(null);
          }}
        >
          {t('Clear')}
        </button>
        <button
          className="btn main"
          disabled={!current || good === 0 || apply.isPending}
          onClick={() => apply.mutate()}
        >
          {good === 0 ? t('Nothing to add yet') : t('Put {{count}} rows in', { count: good })}
        </button>
      </div>
    </section>
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
    <section className="remarks added" aria-label={t('Sign-ins of those added')}>
      <p>
        <b>{t('{{count}} can sign in now', { count: added.length })}</b>,{' '}
        {t('class code {{code}}', { code: data.code })}{' '}
        <a
          className="btn small"
          href={`/api/classes/${data.id}/print/Cards.pdf?readers=${ids}`}
          target="_blank"
          rel="noreferrer"
        >
          {t('Print their cards')}
        </a>{' '}
        <a
          className="btn small"
          href={`/api/classes/${data.id}/print/Letters.pdf?readers=${ids}`}
          target="_blank"
          rel="noreferrer"
        >
          {t('Print letters to guardians')}
        </a>{' '}
        <button className="btn small plain" onClick={close}>
          {t('Close')}
        </button>
      </p>
      <ul>
        {added.slice(0, 60).map((a) => (
          <li key={a.readerId}>
            <b>
              {a.givenName} {a.familyName}
            </b>{' '}
            <span>{a.userName}</span>
            <Secret kind={a.secretKind} secret={a.secret} />
          </li>
        ))}
      </ul>
    </section>
  );
}
