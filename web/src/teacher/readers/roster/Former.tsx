import { api, ok } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { t } from '../../../shared/words';
import { useRosterChange, type Roster } from './rosterQueries';
import { sure } from '../../../shared/sure';
import { Button } from '../../../ui/Button';

/** Who was in the class. They come back with one button, with all they did. */
export function Former({ roster }: { roster: Roster }) {
  const change = useRosterChange();
  return (
    <details className="border-line max-h-40 overflow-auto border-t px-4 py-2.5">
      <summary className="cursor-pointer leading-6">
        {t('{{count}} former readers', { count: roster.former.length })}
      </summary>
      <ul>
        {roster.former.map((m) => (
          <li key={m.id} className="flex items-center gap-2.5 py-0.75">
            <b>
              {m.givenName} {m.familyName}
            </b>{' '}
            <span className="text-soft">
              {t('{{from}} to {{to}}', { from: dayOf(m.since), to: dayOf(sure(m.until)) })}
            </span>
            {roster.mayChange && (
              <Button
                size="sm"
                onClick={() =>
                  change.mutate(() =>
                    ok(
                      api.POST('/classes/{classId}/enrol', {
                        params: { path: { classId: roster.id } },
                        body: { readerIds: [m.id] },
                      }),
                    ),
                  )
                }
                aria-label={t('Restore {{name}}', { name: m.givenName })}
              >
                {t('Restore')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
