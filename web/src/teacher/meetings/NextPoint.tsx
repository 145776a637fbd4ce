import type { Api } from '../../shared/api';
import { sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { say, t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { pointName, pointOf, type Meeting } from './points';
import { plannedOf, usePlanning, useWeek } from './useMeetings';

/** What follows from what was seen; in a press, it is the point of the next meeting. */
export function NextPoint({ next, m, data }: { next: Api<'NextMeetingView'>; m: Meeting; data: ClassData }) {
  const { save } = usePlanning(data.id);
  const said = useSaid();
  const week = useWeek(data.id, next.day);
  const planned = week.data?.meetings.find((x) => x.id === next.meetingId);
  const point = next.point ?? { kind: m.point, strand: m.strand };
  const use = (to: Meeting) =>
    save.mutate([{ ...plannedOf(to), point: point.kind, strand: point.strand, words: next.point ? '' : m.words }], {
      onSuccess: () => said(t('The point is set for {{day}}', { day: dayOf(to.day) }), null),
    });
  const what = () => {
    switch (next.move) {
      case 'Again':
        return t('Next point: {{point}} again, in a new text', { point: pointOf(m) });
      case 'Easier':
        return t('Next point: {{point}} again, in an easier text', { point: pointOf(m) });
      case 'Another':
        return next.point
          ? t('Next point: {{point}}', { point: pointName(next.point) })
          : t('Next point: no other stands out');
    }
  };
  return (
    <>
      <div className="min-w-60 grow">
        <p className="font-serif text-lg font-semibold">{what()}</p>
        <p>{say(next.why)}</p>
        {save.isError && <ErrorText>{sentence(save.error)}</ErrorText>}
      </div>
      {data.mayAssign && planned && (
        <Button look="main" className="h-12" aria-busy={save.isPending} onClick={() => use(planned)}>
          {t('Use for {{day}}', { day: dayOf(planned.day) })}
        </Button>
      )}
      {!planned && <p className="text-soft text-sm">{t('No further meeting is planned.')}</p>}
    </>
  );
}
