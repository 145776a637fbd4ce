import { useState } from 'react';
import { api, ok } from '../../../shared/api';
import { gradeOptions } from '../../../shared/format';
import { t } from '../../../shared/words';
import { useRosterChange, type Roster } from './rosterQueries';
import { Button } from '../../../ui/Button';
import { Notice, Row } from '../../../ui/Page';
import { Select } from '../../../ui/Select';

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
    <Notice aria-label={t('Asking to join')}>
      <Row>
        <b>{t('{{count}} readers ask to join with the class code', { count: roster.joinings.length })}</b>
        <Select
          label={t('Grade')}
          inline
          value={grade}
          set={(value) => setGrade(Number(value))}
          options={gradeOptions}
        />
      </Row>
      <ul className="flex flex-wrap gap-x-6 gap-y-1.5 [&>li]:inline-flex [&>li]:items-center [&>li]:gap-1.5">
        {roster.joinings.map((j) => (
          <li key={j.id}>
            <b>
              {j.givenName} {j.familyName}
            </b>{' '}
            <Button
              size="sm"
              onClick={() => decide(j.id, true)}
              aria-label={t('Approve {{name}}', { name: j.givenName })}
            >
              {t('Approve')}
            </Button>
            <Button
              size="sm"
              onClick={() => decide(j.id, false)}
              aria-label={t('Decline {{name}}', { name: j.givenName })}
            >
              {t('Decline')}
            </Button>
          </li>
        ))}
      </ul>
    </Notice>
  );
}
