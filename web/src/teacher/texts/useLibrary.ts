import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { createQuerySerializer } from 'openapi-fetch';
import { useEffect, useRef, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';

export type LibraryRow = Api<'LibraryRow'>;
export type LibraryPage = Api<'LibraryAnswer'>;

const ownFields = createQuerySerializer();

/** What is asked of the library, as it stands in the address: so a search can be kept, sent and gone back to. */
export const fields = [
  'q',
  'kind',
  'topic',
  'fiction',
  'depthFrom',
  'depthTo',
  'wordsTo',
  'minutesTo',
  'pattern',
  'quiz',
  'wordsToKnow',
  'audio',
  'read',
  'whose',
  'season',
  'retired',
  'sort',
  'down',
] as const;
export type FieldName = (typeof fields)[number];
export type Ask = {
  of: (name: FieldName) => string;
  list: (name: 'kind' | 'topic') => string[];
  put: (changes: Partial<Record<FieldName, string>>) => void;
  toggle: (name: 'kind' | 'topic', value: string) => void;
  clear: () => void;
  text: string;
  filters: number;
};

const between = { kind: ',', topic: '|' } as const;

/** The search as it is kept: its fields only, in one order. */
export function queryOf(params: URLSearchParams): string {
  const kept = new URLSearchParams();
  for (const name of fields) {
    const value = params.get(name);
    if (value) kept.set(name, value);
  }
  return kept.toString();
}

export function useAsk(): Ask {
  const [search, setSearch] = useSearchParams();
  const { pathname } = useLocation();
  const address = search.toString();
  // The address follows what is chosen a moment later; the filters show it at once.
  const [text, setText] = useState(address);
  const [followed, setFollowed] = useState(address);
  const latest = useRef(text);
  useEffect(() => {
    latest.current = text;
  }, [text]);
  if (followed !== address) {
    setFollowed(address);
    // Only what the address says now: an older one may arrive after something newer was chosen.
    if (new URLSearchParams(window.location.search).toString() === address) setText(address);
  }
  const params = new URLSearchParams(text);
  const put = (changes: Partial<Record<FieldName, string>>) => {
    const next = new URLSearchParams(latest.current);
    for (const [name, value] of Object.entries(changes))
      if (value) next.set(name, value);
      else next.delete(name);
    latest.current = next.toString();
    setText(latest.current);
    // Whoever has gone on to another page, which may still be loading, is not called back.
    if (window.location.pathname === pathname) setSearch(next, { replace: true });
  };
  const list = (name: 'kind' | 'topic') => (params.get(name) ?? '').split(between[name]).filter(Boolean);
  return {
    of: (name) => params.get(name) ?? '',
    list,
    put,
    text: queryOf(params),
    toggle: (name, value) => {
      const now = list(name);
      put({ [name]: (now.includes(value) ? now.filter((v) => v !== value) : [...now, value]).join(between[name]) });
    },
    clear: () => put(Object.fromEntries(fields.filter((f) => f !== 'sort' && f !== 'down').map((f) => [f, '']))),
    filters: fields.filter((f) => !['q', 'sort', 'down'].includes(f) && params.get(f)).length,
  };
}

/** The library's answer, fifty rows at a time. */
export const useLibrary = (classId: string, readers: string[], text: string) =>
  useInfiniteQuery({
    queryKey: keys.library.rows(classId, readers, text),
    placeholderData: keepPreviousData,
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      ok(
        api.GET('/library', {
          params: { query: { classId, readers: readers.join(',') || undefined, from: pageParam || undefined } },
          // What is searched for is sent as it stands in the address.
          querySerializer: (query) => [ownFields(query), text].filter(Boolean).join('&'),
        }),
      ),
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((n, p) => n + p.rows.length, 0);
      return shown < last.all ? shown : undefined;
    },
  });
