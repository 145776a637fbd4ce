import { useMutation } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { percent } from '../../shared/format';
import { say, t } from '../../shared/words';
import { zoneNames } from './FiguresBox';
import type { RecordData } from './useSheet';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Page';

type Draft = NonNullable<RecordData['draft']>;

/** What the listening device makes of the recording; the teacher takes it and puts it right, or marks by hand. */
export function DraftNote({
  record,
  empty,
  saved,
  use,
}: {
  record: RecordData;
  empty: boolean;
  saved: (r: RecordData) => void;
  use: (d: Draft) => void;
}) {
  const listen = useMutation({
    mutationFn: () =>
      ok(
        api.POST('/readers/{readerId}/records/{recordId}/listen', {
          params: { path: { readerId: record.readerId, recordId: record.id } },
        }),
      ),
    onSuccess: saved,
    onError: (e) => toast.error(sentence(e)),
  });
  const d = record.draft;
  if (record.done || record.soundSeconds == null) return null;
  if (d) {
    const doubts = d.marks.filter((m) => m.doubt).length;
    return (
      <div className="flex flex-wrap items-center gap-3" role="status">
        <span>
          {t('The listening device heard {{n}} errors in {{count}} words, {{share}} ({{zone}}). It is {{sure}} sure.', {
            n: d.figures.errors,
            count: d.figures.words,
            share: percent(d.figures.accuracy),
            zone: t(zoneNames[d.figures.zone]),
            sure: percent(d.sure),
          })}
          {doubts > 0 && ` ${t('{{count}} marks are uncertain.', { count: doubts })}`}
        </span>
        <Button size="sm" onClick={() => use(d)}>
          {empty ? t('Use draft') : t('Replace my marks with draft')}
        </Button>
      </div>
    );
  }
  if (record.listening === 'Waiting' || record.listening === 'Listening')
    return (
      <Notice kind="action" role="status">
        {t('The listening device is listening. You can mark meanwhile.')}
      </Notice>
    );
  if (!record.mayListen) return null;
  return (
    <div className="flex flex-wrap items-center gap-3" role="status">
      <span>
        {record.listening === 'Failed'
          ? `${say(record.listenNote)} ${t('The recording is saved. Try again or mark by hand.')}`
          : t('The listening device can make a draft of this recording.')}
      </span>
      <Button size="sm" disabled={listen.isPending} onClick={() => listen.mutate()}>
        {record.listening === 'Failed' ? t('Try again') : t('Make draft')}
      </Button>
    </div>
  );
}
