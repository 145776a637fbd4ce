import { useState } from 'react';
import { api, ok } from '../../../shared/api';
import { useOnce } from '../../../shared/once';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Card, Row } from '../../../ui/Page';
import { TextField } from '../../../ui/TextField';
import { useRosterChange, type Roster } from './rosterQueries';

/** Another class like this one, or the end of it. */
export function ClassEnd({ roster }: { roster: Roster }) {
  const [name, setName] = useState(t('{{name}} (copy)', { name: roster.name }));
  const [withReaders, setWithReaders] = useState(true);
  const once = useOnce();
  const change = useRosterChange();
  if (!roster.mayChange) return null;
  const copy = () =>
    change.mutate(async () => {
      const made = await ok(
        api.POST('/classes/{classId}/copy', {
          params: { path: { classId: roster.id } },
          body: {
            name,
            withReaders,
            id: once.idOf({ name, withReaders }),
          },
        }),
      );
      once.done();
      return { ...made, sentence: t('Duplicated as {{name}}', { name }), asked: 0 };
    });
  return (
    <Card aria-labelledby="end">
      <h2 id="end">{t('Duplicate or archive')}</h2>
      <div className="flex flex-wrap items-center gap-2">
        <TextField label={t('Name of new class')} bare value={name} set={setName} />
        <Checkbox checked={withReaders} set={setWithReaders}>
          {t('Include readers')}
        </Checkbox>
        <Button onClick={copy}>{t('Duplicate class')}</Button>
      </div>
      <Row>
        <Button
          onClick={() =>
            change.mutate(() =>
              ok(
                api.POST(`/classes/{classId}/${roster.closed ? 'reopen' : 'close'}`, {
                  params: { path: { classId: roster.id } },
                }),
              ),
            )
          }
        >
          {roster.closed ? t('Restore class') : t('Archive class')}
        </Button>
        <span className="text-soft text-sm">
          {t('An archived class keeps everything. Readers can no longer sign in with its code.')}
        </span>
      </Row>
    </Card>
  );
}
