import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { useAllChanged } from '../../../shared/changed';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { Show } from '../../../ui/Show';
import { useSaid } from '../../classQueries';

type Head = Api<'YearHead'>;

/** What rolling over would do, then doing it. */
export function RollOver({ from, to, close }: { from: Head; to: Head; close: () => void }) {
  const [keepClasses, setKeep] = useState(true);
  const preview = useQuery({
    queryKey: keys.school.roll(from.id, to.id, keepClasses),
    queryFn: () =>
      ok(
        api.POST('/school/years/{yearId}/roll-over/preview', {
          params: { path: { yearId: from.id } },
          body: { toYearId: to.id, keepClasses },
        }),
      ),
  });
  const changed = useAllChanged();
  const said = useSaid();
  const go = async () => {
    try {
      const done = await ok(
        api.POST('/school/years/{yearId}/roll-over', {
          params: { path: { yearId: from.id } },
          body: {
            toYearId: to.id,
            keepClasses,
          },
        }),
      );
      said(done.sentence, done.changeId);
      await changed();
      close();
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  return (
    <Dialog title={t('Roll {{from}} over to {{to}}', { from: from.name, to: to.name })} close={close}>
      <Checkbox checked={keepClasses} set={setKeep}>
        {t('Classes move up together, with their teachers')}
      </Checkbox>
      <Show query={preview}>
        {(p) => (
          <>
            <p>
              <b>{t('{{count}} readers move up a grade', { count: p.up })}</b>
              {p.leaving > 0 && <>, {t('{{count}} readers in the highest grade leave', { count: p.leaving })}</>}.{' '}
              {t('Their work stays with them.')}
            </p>
            <ul className="[&>li]:border-line max-h-100 overflow-auto px-4 [&>li]:border-t [&>li]:py-0.75">
              {p.classes.map((c, i) => (
                <li key={i}>
                  <b>{c.from}</b> {t('is archived')}
                  {c.to && (
                    <>
                      , <b>{c.to}</b> {t('starts')}
                    </>
                  )}{' '}
                  <span className="text-soft">{t('{{count}} readers', { count: c.readers })}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </Show>
      <p className="text-soft text-sm">{t('You can undo this until someone changes it again.')}</p>
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" disabled={!preview.data} onClick={() => void go()}>
          {t('Roll over')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
