import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, asFile, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { useSaid } from '../../classQueries';
import { isEmpty, padded, type Checked, type GridRow } from './gridRows';

/** Rows that wait for the teacher. */
const unsettled: readonly Api<'RowFate'>[] = ['Question', 'Stopped'];

function useDebounced<T>(value: T, ms: number) {
  const [late, setLate] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLate(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return late;
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

type Done = Api<'AppliedListView'>;

const saidOf = ({ done }: Done) =>
  [
    done.new && t('{{count}} readers added', { count: done.new }),
    done.joins && t('{{n}} joined', { n: done.joins }),
    done.asked > 0 && t('{{count}} requested', { count: done.asked }),
    done.changed && t('{{n}} changed', { n: done.changed }),
    done.unchanged && t('{{n}} unchanged', { n: done.unchanged }),
  ]
    .filter(Boolean)
    .join(', ') || t('Nothing to do');

/** A list of readers while it is written: what it holds, what the server says of it, and taking in what is good. */
export function useMany(classId: string, draft: Api<'DraftView'>) {
  const [rows, setRows] = useState<GridRow[]>(() => padded(draft.rows));
  const [system, setSystem] = useState('');
  const [read, setRead] = useState<{ view: Api<'ReadListView'>; body: Blob } | null>(null);
  const [added, setAdded] = useState<Api<'SignInRow'>[]>([]);
  const rosterChanged = useChanged();
  const said = useSaid();
  const late = useDebounced(rows, 350);
  const filled = useMemo(() => late.filter((r) => !isEmpty(r)), [late]);
  const check = useQuery({
    queryKey: keys.listCheck(classId, late, system),
    enabled: filled.length > 0,
    staleTime: Infinity,
    placeholderData: (before: Checked | undefined) => before,
    queryFn: () =>
      ok(
        api.POST('/classes/{classId}/list/check', {
          params: { path: { classId: classId } },
          body: { rows: late, levelSystem: system },
        }),
      ),
  });
  const saved = useAutosave(classId, late, draft.savedAt);

  const take = async (body: Blob, fields?: Api<'ListField'>[], heading?: boolean) => {
    try {
      const view = await ok(
        api.POST('/classes/{classId}/list/read', {
          params: { path: { classId: classId }, query: { fields: fields?.join(','), heading } },
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
          params: { path: { classId: classId } },
          body: { rows, levelSystem: system },
        }),
      ),
    onSuccess: (done) => {
      setAdded((before) => [...before, ...done.added]);
      // What could not go in stays where it can be put right.
      setRows(padded(rows.filter((_, i) => unsettled.includes(done.done.rows[i]?.fate ?? 'Empty'))));
      setRead(null);
      said(saidOf(done), done.changeId);
      void rosterChanged('roster');
    },
    onError: (e) => toast.error(`${sentence(e)} ${t('What you typed is still here.')}`),
  });
  const result = filled.length > 0 ? check.data : undefined;
  const good = result ? result.new + result.joins + result.asked + result.changed : 0;
  const current = late === rows && !check.isFetching;
  const clear = () => {
    setRows(padded([]));
    setRead(null);
  };
  const change = (next: GridRow[]) => setRows(padded(next));
  return {
    rows,
    change,
    clear,
    system,
    setSystem,
    read,
    take,
    added,
    forgetAdded: () => setAdded([]),
    apply,
    saved,
    result,
    good,
    current,
    checked: current || late.length === rows.length ? result : undefined,
  };
}
