import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import type { ClassData } from '../../classQueries';
import { Button } from '../../../ui/Button';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { Select } from '../../../ui/Select';
import { Show } from '../../../ui/Show';
import { TextField } from '../../../ui/TextField';

/** Due days in other calendar programs: a link for the class or for one of its readers, which can be stopped. */
export function CalendarDialog({ data, close }: { data: ClassData; close: () => void }) {
  const [readerId, setReaderId] = useState('');
  return (
    <Dialog title={t('Due days in a calendar program')} close={close}>
      <div className="grid gap-3">
        <p>
          {t('Add the link to a calendar program: it shows titles and due days. No reader, group or level is named.')}
        </p>
        <Select
          label={t('For')}
          value={readerId}
          set={setReaderId}
          options={[
            { value: '', label: t('Everybody, {{count}} readers', { count: data.readers.length }) },
            ...data.readers.map((r) => ({ value: r.id, label: `${r.givenName} ${r.familyName}` })),
          ]}
        />
        <Feed key={readerId} classId={data.id} readerId={readerId || undefined} />
      </div>
      <DialogFoot>
        <Button look="main" onClick={close}>
          {t('Done')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}

function Feed({ classId, readerId }: { classId: string; readerId: string | undefined }) {
  const client = useQueryClient();
  const [link, setLink] = useState('');
  const params = { path: { classId }, query: { readerId } };
  const queryKey = keys.calendar(classId, readerId);
  const feed = useQuery({
    queryKey,
    queryFn: () => ok(api.GET('/classes/{classId}/calendar', { params: { path: { classId }, query: { readerId } } })),
  });
  const doing = async (doing: () => Promise<string>) => {
    try {
      setLink(await doing());
      await client.invalidateQueries({ queryKey });
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  const make = () => doing(async () => (await ok(api.POST('/classes/{classId}/calendar', { params }))).link);
  const stop = () =>
    doing(async () => {
      await ok(api.DELETE('/classes/{classId}/calendar', { params }));
      return '';
    });
  return (
    <Show query={feed}>
      {(f) => (
        <>
          {link && (
            <>
              <TextField label={t('Link')} readOnly value={link} onFocus={(e) => e.target.select()} />
              <p>{t('This link is shown once. Copy it now; you can make a new one at any time.')}</p>
            </>
          )}
          {f.madeAt && !link && (
            <p>
              {t('There is a link, made {{day}} by {{name}}. A new one takes its place.', {
                day: dayOf(f.madeAt),
                name: f.madeBy ?? '–',
              })}
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            {link ? (
              <Button onClick={() => void navigator.clipboard?.writeText(link).then(() => toast.success(t('Copied')))}>
                {t('Copy link')}
              </Button>
            ) : (
              <Button onClick={() => void make()}>{f.madeAt ? t('Make a new link') : t('Make a link')}</Button>
            )}
            {f.madeAt && <Button onClick={() => void stop()}>{t('Stop the link')}</Button>}
          </div>
        </>
      )}
    </Show>
  );
}
