import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { sure } from '../../shared/sure';
import { useKept } from '../../shared/useKept';
import { useSaid, type ClassData } from '../classQueries';
import type { Plan } from './FormPicked';

type Proposal = Api<'ProposalView'>;
interface Draft {
  plan: Plan | null;
  proposal: Proposal | null;
}

const nothing: Draft = { plan: null, proposal: null };

/** The groups as they may be next: proposed, moved by hand, kept on this device until they are saved or let go. */
export function usePlan(data: ClassData) {
  const draft = useKept<Draft>(`dc-groups-${data.id}`, nothing);
  const [error, setError] = useState<unknown>();
  const said = useSaid();
  const changed = useChanged();
  const here = new Set(data.readers.map((r) => r.id));
  const { proposal } = draft.value;
  // A draft may be older than the class is now: who has left it is in no group.
  const plan = draft.value.plan?.map((g) => ({ ...g, readerIds: g.readerIds.filter((id) => here.has(id)) })) ?? null;
  const forget = () => {
    draft.set(nothing);
    setError(undefined);
  };
  const propose = useMutation({
    mutationFn: (rules: { groups: number; smallest: number; largest: number }) =>
      ok(api.POST('/classes/{classId}/groups/proposal', { params: { path: { classId: data.id } }, body: rules })),
    onSuccess: (p) => {
      setError(undefined);
      draft.set({
        proposal: p,
        plan: p.groups.map((g) => ({ name: g.name, readerIds: g.readers.map((r) => r.readerId) })),
      });
    },
    onError: setError,
  });
  const save = useMutation({
    mutationFn: () =>
      ok(
        api.PUT('/classes/{classId}/groups', {
          params: { path: { classId: data.id } },
          body: { groups: sure(plan).filter((g) => g.readerIds.length > 0) },
        }),
      ),
    onSuccess: async (done) => {
      said(done.summary, done.changeId);
      forget();
      await changed('groups');
    },
    onError: setError,
  });
  const set = (next: Plan) => draft.set({ proposal, plan: next });
  const move = (id: string, to: number) =>
    set(
      sure(plan).map((g, i) => ({
        ...g,
        readerIds: i === to ? [...g.readerIds.filter((x) => x !== id), id] : g.readerIds.filter((x) => x !== id),
      })),
    );
  return { plan, proposal, error, propose, save, set, move, forget };
}
