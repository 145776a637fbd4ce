import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Show } from '../../ui/Show';

/** Where one is signed in, each place with a button to end it. */
export function Sessions({ close }: { close: () => void }) {
  const client = useQueryClient();
  const all = useQuery({ queryKey: keys.me.sessions, queryFn: () => ok(api.GET('/me/sessions')) });
  const end = async (id: string) => {
    await ok(api.DELETE('/me/sessions/{sessionId}', { params: { path: { sessionId: id } } }));
    await client.invalidateQueries({ queryKey: keys.me.sessions });
  };
  return (
    <Dialog title={t('Where you are signed in')} close={close}>
      <Show query={all}>
        {(rows) => (
          <ul className="divide-line divide-y [&>li]:flex [&>li]:items-center [&>li]:gap-2 [&>li]:py-1">
            {rows.map((s) => (
              <li key={s.id}>
                <b>{s.device}</b>{' '}
                <span className="text-soft">
                  {s.here
                    ? t('this device')
                    : t('last used {{when}}', { when: `${dayOf(s.seenAt)} ${timeOf(s.seenAt)}` })}
                </span>
                <span className="grow" />
                {!s.here && (
                  <Button
                    size="sm"
                    onClick={() => void end(s.id)}
                    aria-label={t('End session on {{device}}', { device: s.device })}
                  >
                    {t('End session')}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        )}
      </Show>
      <p className="text-soft text-sm">{t('A session ends after three hours without use.')}</p>
      <DialogFoot>
        <Button onClick={close}>{t('Close')}</Button>
      </DialogFoot>
    </Dialog>
  );
}
