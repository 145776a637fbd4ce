import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { sure } from '../../shared/sure';
import { useKept } from '../../shared/useKept';
import { useSaid, type ClassData } from '../classQueries';
import { moved, movesOf, type Move, type NextGroup, type Plan, type Proposal, type Rules } from './plan';

interface Draft {
  plan: NextGroup[] | null;
  /** What was proposed, before anything was changed by hand. */
  offered: Move[];
  provenBest: boolean;
  gap: number;
}
const asked = (grouping: string | null) => (grouping ? { grouping } : {});
const nothing: Draft = { plan: null, offered: [], provenBest: false, gap: 0 };

/** The rules of a class's groups; a change is kept at once and shown at once.
 * @param grouping Null for guided reading. */
export function useRules(classId: string, grouping: string | null = null) {
  const client = useQueryClient();
  const key = keys.groups.rules(classId, grouping);
  const params = { path: { classId }, query: asked(grouping) };
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      ok(api.GET('/classes/{classId}/groups/rules', { params: { path: { classId }, query: asked(grouping) } })),
  });
  const put = async (rules: Rules) => {
    const before = query.data;
    client.setQueryData(key, rules);
    try {
      await ok(api.PUT('/classes/{classId}/groups/rules', { params, body: rules }));
    } catch (e) {
      client.setQueryData(key, before);
      toast.error(sentence(e));
    }
  };
  return { query, put };
}

/** The groups as they may be next: proposed, moved by hand, kept on this device until they are saved or let go.
 * @param grouping Null for guided reading. */
export function useGroups(data: ClassData, grouping: string | null = null) {
  const draft = useKept<Draft>(`dc-groups-next-${grouping ?? data.id}`, nothing);
  const [conflict, setConflict] = useState<Proposal | null>(null);
  const [error, setError] = useState<unknown>();
  const said = useSaid();
  const changed = useChanged();
  const rules = useRules(data.id, grouping);
  const here = new Set(data.readers.map((r) => r.id));
  // A draft may be older than the class is now: who has left it is in no group.
  const plan = draft.value.plan?.map((g) => ({ ...g, readerIds: g.readerIds.filter((id) => here.has(id)) })) ?? null;
  const params = { path: { classId: data.id }, query: asked(grouping) };
  const forget = () => {
    draft.set(nothing);
    setConflict(null);
    setError(undefined);
  };
  /** Puts a proposal beside the groups as they are. */
  const offer = (p: Proposal) => {
    setError(undefined);
    setConflict(p.conflict.length > 0 ? p : null);
    if (p.conflict.length > 0) return;
    draft.set({
      plan: p.groups,
      offered: movesOf(data.groups, p.groups, data.readers),
      provenBest: p.provenBest,
      gap: p.gap,
    });
  };
  const propose = useMutation({
    mutationFn: (wanted: Rules) => ok(api.POST('/classes/{classId}/groups/proposal', { params, body: wanted })),
    onSuccess: (p) => offer(p),
    onError: setError,
  });
  const judged = useQuery({
    queryKey: keys.groups.judged(data.id, grouping, plan, rules.query.data),
    enabled: plan !== null && rules.query.data !== undefined && plan.some((g) => g.readerIds.length > 0),
    placeholderData: keepPreviousData,
    gcTime: 60_000,
    queryFn: () =>
      ok(
        api.POST('/classes/{classId}/groups/judgement', {
          params: { path: { classId: data.id }, query: asked(grouping) },
          body: { rules: sure(rules.query.data), groups: sure(plan) },
        }),
      ),
  });
  const save = useMutation({
    mutationFn: () =>
      ok(
        api.PUT('/classes/{classId}/groups', {
          params,
          body: {
            groups: sure(plan)
              .filter((g) => g.readerIds.length > 0)
              .map(({ id, ...g }) => (id ? { ...g, id } : g)),
          },
        }),
      ),
    onSuccess: async (done) => {
      said(done.summary, done.changeId);
      forget();
      await changed('groups');
    },
    onError: setError,
  });
  const set = (next: Plan) => draft.set({ ...draft.value, plan: [...next] });
  return {
    plan,
    offered: draft.value.offered,
    provenBest: draft.value.provenBest,
    gap: draft.value.gap,
    rules,
    conflict,
    error,
    propose,
    offer,
    judged: judged.data,
    save,
    set,
    move: (id: string, to: number) => set(moved(sure(plan), id, to)),
    forget,
  };
}

export type Groups = ReturnType<typeof useGroups>;
