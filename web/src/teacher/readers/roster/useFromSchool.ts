import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type KeyboardEvent } from 'react';
import { type Api, api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { useRosterChange, type Roster } from './rosterQueries';

/** What is looked for, what is found, and who has been chosen of it. */
export function useFromSchool(roster: Roster, close: () => void) {
  const [asked, setAsked] = useState('');
  const [grade, setGrade] = useState('');
  const [from, setFrom] = useState('');
  const [at, setAt] = useState(0);
  const [chosen, setChosen] = useState<Api<'Found'>[]>([]);
  const change = useRosterChange();
  const client = useQueryClient();
  const options = queryOptions({
    queryKey: keys.find(roster.id, asked, grade, from),
    queryFn: () =>
      ok(
        api.GET('/school/find', {
          params: {
            query: {
              notIn: roster.id,
              name: asked,
              grade: grade === '' ? undefined : Number(grade),
              classId: from || undefined,
            },
          },
        }),
      ),
  });
  const found = useQuery({ ...options, placeholderData: keepPreviousData });
  const free = (all: Api<'Found'>[]) => all.filter((r) => !chosen.some((c) => c.id === r.id));
  const rows = free(found.data ?? []);
  const elsewhere = chosen.filter((r) => r.asks).length;
  const choose = (r: Api<'Found'> | undefined) => {
    if (r) {
      setChosen([...chosen, r]);
      setAsked('');
      setAt(0);
    }
  };
  const add = (readers: Api<'Found'>[]) => {
    change.mutate(() =>
      ok(
        api.POST('/classes/{classId}/enrol', {
          params: { path: { classId: roster.id } },
          body: { readerIds: readers.map((r) => r.id) },
        }),
      ),
    );
    close();
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.key === 'ArrowDown') {
      e.preventDefault();
      setAt(Math.min(at + 1, rows.length - 1));
    }
    if (e.key === 'ArrowUp') {
      e.preventDefault();
      setAt(Math.max(at - 1, 0));
    }
    if (e.key === 'Enter') {
      e.preventDefault();
      // Enter takes one; Enter again, with nothing typed, is done.
      if (asked === '' && chosen.length > 0) add(chosen);
      else if (ready) choose(rows[at]);
      else void wait();
    }
  };
  // Enter may come before what was typed has been found: then it, and the second one, wait for that.
  const ready = !found.isPlaceholderData;
  const waits = useRef<{ enters: number } | null>(null);
  const wait = async () => {
    if (waits.current) {
      waits.current.enters++;
      return;
    }
    const mine = { enters: 1 };
    waits.current = mine;
    // Where nothing could be found out, the list says so.
    const all = await client.ensureQueryData(options).catch(() => []);
    if (waits.current !== mine) return;
    waits.current = null;
    const row = free(all)[at];
    if (row && mine.enters > 1) add([...chosen, row]);
    else choose(row);
  };
  return {
    asked,
    setAsked,
    grade,
    setGrade,
    from,
    setFrom,
    at,
    setAt,
    chosen,
    setChosen,
    found,
    rows,
    elsewhere,
    choose,
    add,
    onKey,
    forget: () => (waits.current = null),
  };
}
