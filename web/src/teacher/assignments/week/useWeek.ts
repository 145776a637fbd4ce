import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence, type Api } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { keys } from '../../../shared/keys';
import { useSaid } from '../../classQueries';
import type { Terms } from '../terms';

export type WeekData = Api<'WeekView'>;
type Row = Api<'AssignmentRow'>;
type Done = Api<'DoneView'>;

const usualTries = 2;

/** What is given and prepared from a day to a day. */
export const useWeek = (classId: string, from: string, to: string) =>
  useQuery({
    queryKey: keys.week(classId, from, to),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/classes/{classId}/week', { params: { path: { classId }, query: { from, to } } })),
  });

/** What can be done with assignments and drafts of a class: each says what was done and offers to undo it. */
export function usePlan(classId: string) {
  const said = useSaid();
  const changed = useChanged();
  const path = { classId };
  // What is asked for again, after an answer that did not arrive, is not made twice.
  const [asked] = useState(() => new Map<string, string>());
  const idFor = (what: unknown) => {
    const key = JSON.stringify(what);
    const id = asked.get(key) ?? crypto.randomUUID();
    asked.set(key, id);
    return id;
  };
  const tell = async (doing: Promise<Done>) => {
    try {
      const done = await doing;
      asked.clear();
      said(done.summary, done.changeId);
      return done;
    } finally {
      await changed('work');
    }
  };
  return {
    /** The same, for where nothing shows what was wrong: a message does. */
    quietly: (doing: Promise<Done>) => tell(doing).catch((e: unknown) => void toast.error(sentence(e))),
    tell,
    /** @param checkIds Level checks that are given with them. */
    give: (assignmentIds: string[], checkIds: string[] = []) =>
      ok(api.POST('/classes/{classId}/drafts/give', { params: { path }, body: { assignmentIds, checkIds } })),
    /** Texts for readers from a day to a day, kept to be given later. */
    draft: async (readerIds: string[], textIds: string[], visibleFrom: string, dueOn: string): Promise<Done> => {
      const made = await ok(
        api.POST('/classes/{classId}/assignments', {
          params: { path },
          body: {
            readerIds,
            texts: textIds.map((textId) => ({ id: idFor(['draft', textId, readerIds, visibleFrom, dueOn]), textId })),
            visibleFrom,
            dueOn,
            attempts: usualTries,
            skipGiven: true,
            draft: true,
          },
        }),
      );
      return { changeId: made.changeId, summary: made.summary, done: made.texts, left: 0 };
    },
    /** Several drafts in one step. */
    draftWeek: (
      drafts: { textId: string; readerIds: string[]; visibleFrom: string; dueOn: string | null }[],
    ): Promise<Done> =>
      ok(
        api.POST('/classes/{classId}/drafts', {
          params: { path },
          body: { attempts: usualTries, drafts: drafts.map((x) => ({ ...x, id: idFor(['week', x]) })) },
        }),
      ),
    /** A plan on the weeks of the class. */
    lay: (
      planId: string,
      tasks: number,
      to: { revision: number; readerIds: string[]; from: string; draft: boolean; oneByOne: boolean },
    ): Promise<Done> =>
      ok(
        api.POST('/classes/{classId}/plans/{planId}/lay', {
          params: { path: { classId, planId } },
          body: { ...to, ids: Array.from({ length: tasks }, (_, i) => idFor(['lay', planId, i, to])) },
        }),
      ),
    discard: (assignmentIds: string[]) =>
      ok(api.POST('/classes/{classId}/drafts/discard', { params: { path }, body: { assignmentIds } })),
    copy: (assignmentIds: string[], days: number) =>
      ok(
        api.POST('/classes/{classId}/drafts/copy', {
          params: { path },
          body: {
            days,
            copies: assignmentIds.map((assignmentId) => ({ assignmentId, id: idFor(['copy', assignmentId, days]) })),
          },
        }),
      ),
    /** @param together Also what was given in the same act. */
    change: (a: Row, terms: Partial<Terms>, together = false) =>
      ok(
        api.PUT('/assignments/{assignmentId}', {
          params: { path: { assignmentId: a.id } },
          body: {
            visibleFrom: a.visibleFrom,
            dueOn: a.dueOn,
            closesOn: a.closesOn,
            need: a.need,
            place: a.place,
            results: a.results,
            releasesOn: a.releasesOn,
            worth: a.worth,
            mayChange: a.mayChange,
            talk: a.talk,
            homeDirections: a.homeDirections,
            homeLanguage: a.homeLanguage,
            heading: a.heading,
            directions: a.directions,
            note: a.note,
            revision: a.revision,
            together,
            ...terms,
          },
        }),
      ),
    swap: (a: Row, textId: string, begunToo: boolean) =>
      ok(
        api.POST('/assignments/{assignmentId}/swap', {
          params: { path: { assignmentId: a.id } },
          body: { taskId: idFor(['swap', a.id, textId]), textId, begunToo },
        }),
      ),
    /** A last day of their own for readers; null for the assignment's. */
    ownDay: (ticketIds: string[], dueOn: string | null) =>
      ok(api.POST('/classes/{classId}/tickets/day', { params: { path }, body: { ticketIds, dueOn } })),
    /** Another version for the reader of a ticket. */
    version: (ticketId: string, versionId: string) =>
      ok(api.POST('/tickets/{ticketId}/version', { params: { path: { ticketId } }, body: { versionId } })),
    remind: (ticketIds: string[]) =>
      ok(api.POST('/classes/{classId}/tickets/remind', { params: { path }, body: { ticketIds } })),
    tickets: (deed: Api<'TicketDeed'>, ticketIds: string[], comment = '', onlyMissed = false) =>
      ok(api.POST('/classes/{classId}/tickets', { params: { path }, body: { deed, ticketIds, comment, onlyMissed } })),
  };
}

export type Plan = ReturnType<typeof usePlan>;
