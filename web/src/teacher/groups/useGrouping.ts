import { useQueries, useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { api, ok, type Api } from '../../shared/api';
import { keys } from '../../shared/keys';
import type { ClassData } from '../classQueries';

export type Grouping = Api<'GroupingView'>;

/** The readers and groups of a class and of the classes a grouping takes in besides. */
export function together(data: ClassData, grouping: Grouping, others: readonly ClassData[]): ClassData {
  const parts = [data, ...others].flatMap((c) => c.otherGroups.filter((g) => g.grouping === grouping.id));
  const whole = new Map<string, ClassData['otherGroups'][number]>();
  for (const g of parts) {
    const before = whole.get(g.id);
    whole.set(g.id, { ...g, ...before, readerIds: [...new Set([...(before?.readerIds ?? []), ...g.readerIds])] });
  }
  const here = new Set(data.readers.map((r) => r.id));
  const guests = others.flatMap((c) =>
    c.readers.filter((r) => !here.has(r.id)).map((r) => ({ ...r, called: `${r.called}, ${c.name}` })),
  );
  return {
    ...data,
    groups: [...whole.values()].sort((a, b) => a.position - b.position),
    readers: [...data.readers, ...guests].sort((a, b) => a.depth - b.depth),
  };
}

/** The grouping that is looked at, with its readers and groups in place of guided reading's. */
export function useGrouping(data: ClassData) {
  const [search, setSearch] = useSearchParams();
  const all = useQuery({
    queryKey: keys.groups.groupings(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/groupings', { params: { path: { classId: data.id } } })),
  });
  const chosen = all.data?.find((g) => g.id === search.get('grouping')) ?? null;
  const others = useQueries({
    queries: (chosen?.others ?? []).map((classId) => ({
      queryKey: keys.class(classId),
      queryFn: () => ok(api.GET('/classes/{classId}', { params: { path: { classId } } })),
    })),
    combine: (found) => ({
      ready: found.every((q) => q.data !== undefined),
      data: found.flatMap((q) => q.data ?? []),
    }),
  });
  return {
    all: all.data ?? [],
    ready: all.data !== undefined && others.ready,
    chosen,
    data: chosen ? together(data, chosen, others.data) : data,
    choose: (id: string | null) => setSearch(id ? { grouping: id } : {}),
  };
}
