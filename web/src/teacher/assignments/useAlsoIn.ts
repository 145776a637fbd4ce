import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { useSession } from '../../shared/session';
import { createOnce } from '../../shared/once';

/** What everybody of another class would get of some texts. */
async function outlook(classId: string, textIds: string[]) {
  const { name, readers } = await ok(api.GET('/classes/{classId}', { params: { path: { classId } } }));
  const readerIds = readers.map((r) => r.id);
  const fits =
    readerIds.length === 0
      ? []
      : await ok(api.POST('/classes/{classId}/fit', { params: { path: { classId } }, body: { readerIds, textIds } }));
  return { classId, name, readers: readers.length, fits };
}
export type Outlook = Awaited<ReturnType<typeof outlook>>;

/** Other classes of the same teacher in which everybody gets the same, and what that comes to. */
export function useAlsoIn(here: string, textIds: string[]) {
  const classes = (useSession().data?.classes ?? []).filter((c) => !c.closed && c.id !== here);
  const [chosen, choose] = useState<string[]>([]);
  const [onces] = useState(() => new Map<string, ReturnType<typeof createOnce>>());
  const outlooks = useQueries({
    queries: chosen.map((classId) => ({
      queryKey: keys.fitIn(classId, textIds),
      queryFn: () => outlook(classId, textIds),
    })),
  });
  const idOf = (classId: string, textId: string, request: unknown) => {
    const key = `${classId} ${textId}`;
    const once = onces.get(key) ?? createOnce();
    onces.set(key, once);
    return once.idOf(request);
  };
  return {
    classes,
    chosen,
    toggle: (id: string, on: boolean) => choose((now) => (on ? [...now, id] : now.filter((x) => x !== id))),
    outlooks: outlooks.map((o) => o.data).filter((o) => o !== undefined),
    ready: outlooks.every((o) => o.data),
    /** As it is sent: names of their own for what is made there. */
    request: (ids: string[], about: unknown, tasks: string[] = []) =>
      chosen.map((classId) => ({
        classId,
        texts: ids.map((textId) => ({ id: idOf(classId, textId, about), textId })),
        taskIds: tasks.map((task) => idOf(classId, task, about)),
      })),
  };
}
