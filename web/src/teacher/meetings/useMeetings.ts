import { useMutation, useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, ok, sentence, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Meeting } from './points';

export type Week = Api<'MeetingWeekView'>;
export type MeetingData = Api<'MeetingView'>;
export type Planned = Api<'MeetingPlanned'>;

export const useWeek = (classId: string, monday: string | null) =>
  useQuery({
    queryKey: keys.meetings.week(classId, monday),
    queryFn: () =>
      ok(
        api.GET('/classes/{classId}/meetings', {
          params: { path: { classId }, query: monday ? { monday } : {} },
        }),
      ),
  });

export const useMeeting = (meetingId: string) =>
  useQuery({
    queryKey: keys.meetings.one(meetingId),
    queryFn: () => ok(api.GET('/meetings/{meetingId}', { params: { path: { meetingId } } })),
  });

export const plannedOf = (m: Meeting): Planned => ({
  id: m.id,
  groupId: m.groupId,
  day: m.day,
  startsAt: m.startsAt,
  minutes: m.minutes,
  textId: m.textId,
  point: m.point,
  strand: m.strand,
  words: m.words,
});

/** Plans meetings, changes and removes them. */
export function usePlanning(classId: string) {
  const changed = useChanged();
  const save = useMutation({
    mutationFn: (meetings: Planned[]) =>
      ok(api.PUT('/classes/{classId}/meetings', { params: { path: { classId } }, body: { meetings } })),
    onSuccess: () => changed('meetings'),
  });
  const remove = useMutation({
    mutationFn: (m: Meeting) => ok(api.DELETE('/meetings/{meetingId}', { params: { path: { meetingId: m.id } } })),
    onSuccess: async (_, m) => {
      await changed('meetings');
      toast.success(t('Removed the meeting of {{group}}', { group: m.group }), {
        action: { label: t('Undo'), onClick: () => save.mutate([plannedOf(m)]) },
      });
    },
    onError: (e) => toast.error(sentence(e)),
  });
  return { save, remove };
}

/** At the meeting: it begins and ends, and what is seen is kept at once. */
export function useSeeing(meetingId: string) {
  const changed = useChanged();
  const path = { meetingId };
  const failed = (e: unknown) => void toast.error(sentence(e));
  return {
    begin: () =>
      ok(api.POST('/meetings/{meetingId}/begin', { params: { path } })).then(() => changed('meetings'), failed),
    end: () => ok(api.POST('/meetings/{meetingId}/end', { params: { path } })).then(() => changed('meetings'), failed),
    see: (readerId: string, seen: Api<'SeeRequest'>) =>
      ok(
        api.PUT('/meetings/{meetingId}/readers/{readerId}', {
          params: { path: { meetingId, readerId } },
          body: seen,
        }),
      ).then(() => changed('meetings'), failed),
  };
}
