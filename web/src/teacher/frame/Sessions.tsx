import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Window } from './Window';

/** Where one is signed in, each place with a button to end it. */
export function Sessions({ close }: { close: () => void }) {
  const client = useQueryClient();
  const all = useQuery({ queryKey: keys.me.sessions, queryFn: () => ok(api.GET('/me/sessions')) });
  const end = async (id: string) => {
    await ok(api.DELETE('/me/sessions/{sessionId}', { params: { path: { sessionId: id } } }));
    await client.invalidateQueries({ queryKey: keys.me.sessions });
  };
  return (
    <Window title={t('Where you are signed in')} close={close}>
      <Show query={all}>
        {(rows) => (
          <ul className="adults">
            {rows.map((s) => (
              <li key={s.id}>
                <b>{s.device}</b>{' '}
                <span className="soft">
                  {s.here
                    ? t('this device')
                    : t('last used {{when}}', { when: `${dayOf(s.seenAt)} ${timeOf(s.seenAt)}` })}
                </span>
                <span className="grow" />
                {!s.here && (
                  <button
                    className="btn small"
                    onClick={() => void end(s.id)}
                    aria-label={t('End the session on {{device}}', { device: s.device })}
                  >
                    {t('End session')}
                  </button>
                )}
              </li>
            ))}
          </ul>
        )}
      </Show>
      <p className="hint">{t('A session ends by itself after three hours without use.')}</p>
      <p className="row end">
        <button className="btn" onClick={close}>
          {t('Close')}
        </button>
      </p>
    </Window>
  );
}
