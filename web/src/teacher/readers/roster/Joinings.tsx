import { useState } from 'react';
import { api, ok } from '../../../shared/api';
import { t } from '../../../shared/words';
import { useRosterChange, type Roster } from './rosterQueries';

/** Readers who asked to join by the class code. */
export function Joinings({ roster }: { roster: Roster }) {
  const [grade, setGrade] = useState(roster.members[0]?.grade ?? 3);
  const change = useRosterChange();
  if (roster.joinings.length === 0) return null;
  const decide = (id: string, accept: boolean) =>
    change.mutate(() =>
      ok(
        api.POST('/classes/{classId}/joinings/{joiningId}', {
          params: { path: { classId: roster.id, joiningId: id } },
          body: { accept, grade },
        }),
      ),
    );
  return (
    <section className="remarks joinings" aria-label={t('Asking to join')}>
      <p>
        <b>{t('{{count}} ask to join by the class code', { count: roster.joinings.length })}</b>{' '}
        <label>
          {t('Grade')}{' '}
          <select value={grade} onChange={(e) => setGrade(Number(e.target.value))}>
            {Array.from({ length: 13 }, (_, g) => (
              <option key={g} value={g}>
                {g === 0 ? 'K' : g}
              </option>
            ))}
          </select>
        </label>
      </p>
      <ul className="chosen">
        {roster.joinings.map((j) => (
          <li key={j.id}>
            <b>
              {j.givenName} {j.familyName}
            </b>{' '}
            <button
              className="btn small"
              onClick={() => decide(j.id, true)}
              aria-label={t('Take {{name}} in', { name: j.givenName })}
            >
              {t('Take in')}
            </button>
            <button
              className="btn small"
              onClick={() => decide(j.id, false)}
              aria-label={t('Set {{name}} aside', { name: j.givenName })}
            >
              {t('Set aside')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
