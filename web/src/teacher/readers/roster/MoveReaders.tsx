import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { useSession } from '../../../shared/session';
import { t } from '../../../shared/words';
import { useRosterChange, type Member, type Roster } from './rosterQueries';
import { Button } from '../../../ui/Button';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { Select } from '../../../ui/Select';

/** Moves readers to another class. History goes along. */
export function MoveReaders({ roster, members, close }: { roster: Roster; members: Member[]; close: () => void }) {
  const session = useSession().data;
  const all = useQuery({
    queryKey: keys.school.classes,
    enabled: !!session?.lead,
    queryFn: () => ok(api.GET('/school/classes')),
  });
  const classes = (session?.lead ? (all.data ?? []) : (session?.classes ?? [])).filter(
    (c) => c.id !== roster.id && !c.closed,
  );
  const [to, setTo] = useState('');
  const change = useRosterChange();
  const move = () => {
    change.mutate(() =>
      ok(
        api.POST('/classes/{classId}/move', {
          params: { path: { classId: roster.id } },
          body: { readerIds: members.map((m) => m.id), toClassId: to },
        }),
      ),
    );
    close();
  };
  return (
    <Dialog title={t('Move {{count}} readers', { count: members.length })} close={close}>
      <p>{members.map((m) => m.givenName).join(', ')}</p>
      {classes.length === 0 ? (
        <p className="text-soft text-sm">
          {t('You have no other class. Create one, or ask a school lead to move them.')}
        </p>
      ) : (
        <Select
          label={t('Move to')}
          value={to}
          set={setTo}
          options={[{ value: '', label: t('Choose') }, ...classes.map((c) => ({ value: c.id, label: c.name }))]}
        />
      )}
      <p className="text-soft text-sm">
        {t('Starts today. Their work goes with them; assignments from {{name}} stay listed there.', {
          name: roster.name,
        })}
      </p>
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" disabled={!to} onClick={move}>
          {t('Move {{count}} readers', { count: members.length })}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
