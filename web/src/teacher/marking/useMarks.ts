import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { alike, inOrder, nextToMark, partsOf, toMark, type Entry, type Order, type Question } from './queue';
import { before, markOf, rowsOf, whole, withPoint, type Points } from './rubric';

/** What is chosen for an answer and not yet marked. */
interface Draft {
  key: string;
  points: Points;
  row: number;
  comment: string;
}

const keptOrder = 'dc-marking-order';

/** The server's word for one answer: a question's has an id, a prompt's has none. */
const put = ({ a }: Entry, points: number[], comment: string) =>
  a.answerId
    ? ok(
        api.PUT('/tickets/{ticketId}/marks/{answerId}', {
          params: { path: { ticketId: a.ticketId, answerId: a.answerId } },
          body: { points, comment },
        }),
      )
    : ok(
        api.PUT('/tickets/{ticketId}/reply/mark', {
          params: { path: { ticketId: a.ticketId } },
          body: { points, comment },
        }),
      );
const takeAway = ({ a }: Entry) =>
  a.answerId
    ? ok(
        api.DELETE('/tickets/{ticketId}/marks/{answerId}', {
          params: { path: { ticketId: a.ticketId, answerId: a.answerId } },
        }),
      )
    : ok(api.DELETE('/tickets/{ticketId}/reply/mark', { params: { path: { ticketId: a.ticketId } } }));

/** Tickets that are marked and wait to be released. */
const readyIn = (questions: readonly Question[]) => [
  ...new Set(questions.flatMap((q) => q.answers.filter((a) => a.state === 'Marked').map((a) => a.ticketId))),
];

const saidOf = (e: unknown) => toast.error(sentence(e));

/** The queue of a class: which answer is in hand, what is chosen for it, marking and going on. */
export function useMarks(classId: string, questions: readonly Question[]) {
  const client = useQueryClient();
  const changed = useChanged();
  const [order, putOrder] = useState<Order>(() =>
    localStorage.getItem(keptOrder) === 'reader' ? 'reader' : 'question',
  );
  const parts = useMemo(() => partsOf(questions, order), [questions, order]);
  const entries = useMemo(() => inOrder(parts), [parts]);
  const [at, setAt] = useState('');
  const entry = entries.find((e) => e.key === at) ?? entries.find(toMark) ?? entries[0] ?? null;
  const [draft, setDraft] = useState<Draft | null>(null);
  const mine = entry && draft?.key === entry.key ? draft : null;
  const rows = entry ? rowsOf(entry.q) : [];
  const points: Points = mine ? mine.points : (entry?.a.mark?.points ?? rows.map(() => null));
  // A mark by another rubric than this one is no choice in it.
  const chosen = points.length === rows.length ? points : rows.map(() => null);
  const row = mine ? mine.row : Math.max(chosen.indexOf(null), 0);
  const comment = mine ? mine.comment : (entry?.a.comment ?? '');
  const [same, setSame] = useState(true);
  const [release, setRelease] = useState(false);
  const [saved, setSaved] = useState<Date | null>(null);
  const [done, setDone] = useState<{ entries: Entry[] }[]>([]);
  const others = entry ? alike(entries, entry) : [];

  const change = (next: Partial<Draft>) => entry && setDraft({ key: entry.key, points: chosen, row, comment, ...next });
  const go = (to: Entry | null | undefined) => {
    if (to) setAt(to.key);
  };
  const step = (by: number) => {
    const i = entries.findIndex((e) => e.key === entry?.key);
    go(entries[Math.min(Math.max(i + by, 0), entries.length - 1)]);
  };
  // One after the other: what is taken back must not overtake what it takes back.
  const line = useRef(Promise.resolve());
  const inLine = (act: () => Promise<void>) => {
    line.current = line.current.then(act).catch((problem: unknown) => {
      saidOf(problem);
    });
    return line.current;
  };
  const again = () => client.invalidateQueries({ queryKey: keys.marking.queue(classId) });

  /** Marks what is in hand, and others who wrote the same; then the next comes. */
  const markIt = () => {
    const given = whole(chosen);
    if (!entry || !given) return;
    const mark = markOf(given, entry.q.most);
    const these = [entry, ...(same ? others : [])];
    const next = nextToMark(
      entries.filter((e) => e === entry || !these.includes(e)),
      entry.key,
    );
    // What was marked shows at once; the server's word comes after it.
    client.setQueryData<Question[]>(keys.marking.queue(classId), (all) =>
      all?.map((q) => ({
        ...q,
        answers: q.answers.map((a) =>
          these.some((e) => e.q.key === q.key && e.a.ticketId === a.ticketId) ? { ...a, mark, comment } : a,
        ),
      })),
    );
    setDone((before) => [...before, { entries: these }]);
    go(next ?? entry);
    setDraft(null);
    void inLine(async () => {
      try {
        for (const e of these) await put(e, given, comment.trim());
        setSaved(new Date());
        if (release && !next) await releaseAll();
      } finally {
        await again();
        void changed('work');
      }
    });
  };
  const undo = () => {
    const last = done[done.length - 1];
    if (!last) return;
    setDone(done.slice(0, -1));
    void inLine(async () => {
      for (const e of last.entries) await (e.a.mark === null ? takeAway(e) : put(e, e.a.mark.points, e.a.comment));
      await again();
      go(last.entries[0]);
      toast(t('Mark taken back'));
      void changed('work');
    });
  };
  const tickets = async (ticketIds: string[], deed: 'Release' | 'SendBack', said?: string) => {
    const made = await ok(
      api.POST('/classes/{classId}/tickets', {
        params: { path: { classId } },
        body: { ticketIds, deed, comment: said ?? null, onlyMissed: false },
      }),
    );
    await again();
    void changed('work');
    return made;
  };
  const releaseAll = async () => {
    const fresh = await client.fetchQuery({
      queryKey: keys.marking.queue(classId),
      queryFn: () => fetchQueue(classId),
      staleTime: 0,
    });
    const ready = readyIn(fresh);
    if (ready.length === 0) return;
    const made = await tickets(ready, 'Release');
    toast(t('Released to {{count}} readers', { count: made.done }));
  };
  const sendBack = async (said: string) => {
    if (!entry) return;
    const next = nextToMark(entries, entry.key);
    await line.current;
    await tickets([entry.a.ticketId], 'SendBack', said);
    toast(t('Sent back to {{name}}', { name: entry.a.givenName }));
    go(next);
  };

  return {
    order,
    setOrder: (next: Order) => {
      localStorage.setItem(keptOrder, next);
      putOrder(next);
    },
    parts,
    entries,
    entry,
    go,
    step,
    skip: () => go(entry && nextToMark(entries, entry.key)),
    points: chosen,
    row,
    whole: whole(chosen) !== null,
    choose: (n: number, at = row) => {
      if (n < 0 || n >= (rows[at]?.marks.length ?? 0)) return;
      const next = withPoint(chosen, at, n);
      change({ points: next, row: next.indexOf(null) < 0 ? at : next.indexOf(null) });
    },
    back: () => change({ points: withPoint(chosen, before(chosen, row), null), row: before(chosen, row) }),
    usesProposed: () => entry?.a.proposal && change({ points: entry.a.proposal.points, row: 0 }),
    comment,
    setComment: (words: string) => change({ comment: words }),
    others,
    same,
    setSame,
    release,
    setRelease,
    saved,
    mayUndo: done.length > 0,
    undo,
    markIt,
    sendBack,
    // After the marks that are on their way.
    releaseAll: () => void inLine(releaseAll),
    ready: readyIn(questions).length,
  };
}
export type Marks = ReturnType<typeof useMarks>;

export const fetchQueue = (classId: string) =>
  ok(api.GET('/classes/{classId}/marking/queue', { params: { path: { classId } } }));
export const useQueue = (classId: string) =>
  useQuery({ queryKey: keys.marking.queue(classId), queryFn: () => fetchQueue(classId) });

/** Comments that are kept to be used again. */
export function useKeptComments() {
  const client = useQueryClient();
  const kept = useQuery({ queryKey: keys.me.comments, queryFn: () => ok(api.GET('/me/kept-comments')) });
  const put = (comments: string[]) =>
    ok(api.PUT('/me/kept-comments', { body: { comments } })).then(
      (now) => client.setQueryData(keys.me.comments, now),
      saidOf,
    );
  return { all: kept.data?.comments ?? [], put };
}

/** Keys of the page; letters do nothing while something is typed. */
export function useMarkingKeys(keysOf: Record<string, () => void>, on: boolean) {
  useEffect(() => {
    if (!on) return;
    const press = (e: KeyboardEvent) => {
      const from = e.target instanceof HTMLElement ? e.target : null;
      const typing = from?.closest('input:not([type=checkbox]), textarea, [contenteditable]') != null;
      const control = e.ctrlKey || e.metaKey;
      if (typing && !(e.key === 'Enter' && control)) return;
      if (document.querySelector('[role=dialog]')) return;
      const name = control ? `Ctrl ${e.key.toLowerCase()}` : e.key.length === 1 ? e.key.toLowerCase() : e.key;
      // A button that has the focus is pressed by Enter itself; one that chose a mark has done so.
      if (name === 'Enter' && from?.closest('button:not([data-mark]), a, summary')) return;
      const act = keysOf[name];
      if (!act || e.altKey) return;
      e.preventDefault();
      act();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  });
}
