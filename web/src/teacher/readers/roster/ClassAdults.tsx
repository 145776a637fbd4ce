import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { partsToGive, partWords, type Part } from '../../../shared/parts';
import { phrase, t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Card, Row } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { useRosterChange, type Roster } from './rosterQueries';

/** Who teaches the class, and what assistants may do in it. */
export function ClassAdults({ roster }: { roster: Roster }) {
  const colleagues = useQuery({
    queryKey: keys.colleagues,
    enabled: roster.mayChange,
    queryFn: () => ok(api.GET('/colleagues')),
  });
  const [who, setWho] = useState('');
  const [role, setRole] = useState<Part>('CoTeacher');
  const change = useRosterChange();
  const set = (adultId: string, as: Part) =>
    change.mutate(() =>
      ok(
        api.PUT('/classes/{classId}/adults', { params: { path: { classId: roster.id } }, body: { adultId, role: as } }),
      ),
    );
  const others = (colleagues.data ?? []).filter((c) => !roster.adults.some((a) => a.adultId === c.id));
  const roles = partsToGive.map((r) => ({ value: r, label: t(partWords[r]) }));
  return (
    <Card aria-labelledby="adults">
      <h2 id="adults">{t('Teachers')}</h2>
      <ul className="divide-line divide-y [&>li]:flex [&>li]:items-center [&>li]:gap-2 [&>li]:py-1">
        {roster.adults.map((a) => (
          <li key={a.adultId}>
            <b>{a.name}</b>
            {a.leftSchool && <span className="text-soft">{t('has left')}</span>}
            <span className="grow" />
            {roster.mayChange ? (
              <>
                <Select
                  label={t('Role of {{name}}', { name: a.name })}
                  bare
                  value={a.role}
                  set={(part) => set(a.adultId, part)}
                  options={roles}
                />
                <Button
                  size="sm"
                  onClick={() =>
                    change.mutate(() =>
                      ok(
                        api.DELETE('/classes/{classId}/adults/{adultId}', {
                          params: { path: { classId: roster.id, adultId: a.adultId } },
                        }),
                      ),
                    )
                  }
                  aria-label={t('Remove {{name}} from class', { name: a.name })}
                >
                  {t('Remove')}
                </Button>
              </>
            ) : (
              t(partWords[a.role])
            )}
          </li>
        ))}
      </ul>
      <p className="text-soft text-sm">
        {t(
          phrase(
            'Teachers and co-teachers can do everything. Assistants see the class and can take running ' +
              'records, but cannot change the roster.',
          ),
        )}
      </p>
      {roster.mayChange && (
        <Checkbox
          checked={roster.assistantsPrint}
          set={(on) => {
            const allowed = on;
            change.mutate(async () => {
              await ok(
                api.PUT('/classes/{classId}/assistants-print', {
                  params: { path: { classId: roster.id } },
                  body: { allowed },
                }),
              );
              return {
                changeId: null,
                sentence: allowed ? t('Assistants can print one card at a time') : t('Assistants print no cards'),
                asked: 0,
              };
            });
          }}
        >
          {t('Assistants can print one reader’s card at a time')}
        </Checkbox>
      )}
      {roster.mayChange && (
        <Row>
          <Select
            label={t('Colleague')}
            bare
            value={who}
            set={setWho}
            options={[
              { value: '', label: t('Choose colleague') },
              ...others.map((c) => ({ value: c.id, label: c.name })),
            ]}
          />
          <Select label={t('Role')} bare value={role} set={setRole} options={roles} />
          <Button
            disabled={!who}
            onClick={() => {
              set(who, role);
              setWho('');
            }}
          >
            {t('Add')}
          </Button>
        </Row>
      )}
    </Card>
  );
}
