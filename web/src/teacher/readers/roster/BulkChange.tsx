import { useState, type FormEvent } from 'react';
import { api, fieldOf, ok, sentence, namesFields } from '../../../shared/api';
import { kindName, secretKinds, type SecretKind } from '../../../shared/Secret';
import { useChanged } from '../../../shared/changed';
import { t } from '../../../shared/words';
import { useClass, useSaid } from '../../classQueries';
import { LevelTable } from '../LevelTable';
import type { Member, Roster } from './rosterQueries';
import { SupportFields } from './SupportFields';
import { noSupports } from './supports';
import { sure } from '../../../shared/sure';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { ErrorText, FieldRow } from '../../../ui/Field';
import { Form } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { TextField } from '../../../ui/TextField';

/** Changes the same things for several readers: what is left empty stays as it is for each. */
export function BulkChange({ roster, members, close }: { roster: Roster; members: Member[]; close: () => void }) {
  const [grade, setGrade] = useState('');
  const [level, setLevel] = useState('');
  const [system, setSystem] = useState(sure(roster.systems[0]));
  const [kind, setKind] = useState<SecretKind | ''>('');
  const [renew, setRenew] = useState(false);
  const [withSupports, setWithSupports] = useState(false);
  const [supports, setSupports] = useState(noSupports);
  const [error, setError] = useState<unknown>();
  const data = useClass(roster.id);
  const changed = useChanged();
  const said = useSaid();
  const [group, setGroup] = useState('');
  const details = grade || level.trim() || kind || renew || withSupports;
  // Groups are the teachers' own: a school lead who is not in the class leaves them alone.
  const groups = data.data && data.data.part !== 'None' ? data.data.groups : [];
  const ids = members.map((m) => m.id);
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      if (group) {
        const next = groups
          .map((g) => ({
            name: g.name,
            readerIds: [...g.readerIds.filter((id) => !ids.includes(id)), ...(g.name === group ? ids : [])],
          }))
          .filter((g) => g.readerIds.length > 0);
        const moved = await ok(
          api.PUT('/classes/{classId}/groups', { params: { path: { classId: roster.id } }, body: { groups: next } }),
        );
        said(t('Added {{count}} readers to {{group}}', { count: ids.length, group }), moved.changeId);
      }
      if (details) {
        const done = await ok(
          api.POST('/classes/{classId}/bulk', {
            params: { path: { classId: roster.id } },
            body: {
              readerIds: ids,
              grade: grade === '' ? null : Number(grade),
              level: level.trim() || null,
              levelSystem: system,
              supports: withSupports ? supports : null,
              secretKind: kind || null,
              newSecrets: renew,
            },
          }),
        );
        said(done.sentence, done.changeId);
      }
      await changed('roster');
      close();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Dialog title={t('Change {{count}} readers', { count: members.length })} close={close}>
      <Form onSubmit={(e) => void save(e)}>
        <p className="text-soft text-sm">{members.map((m) => m.givenName).join(', ')}</p>
        <FieldRow>
          <Select
            label={t('Grade')}
            value={grade}
            set={setGrade}
            options={[
              { value: '', label: t('unchanged') },
              ...Array.from({ length: 13 }, (_, g) => ({ value: String(g), label: g === 0 ? 'K' : g })),
            ]}
          />
          <TextField
            label={t('Level')}
            error={fieldOf(error, 'level')}
            placeholder={t('unchanged')}
            value={level}
            set={setLevel}
          />
          <Select
            label={t('Level unit')}
            value={system}
            set={setSystem}
            options={roster.systems.map((s) => ({ value: s, label: s }))}
          />
        </FieldRow>
        {data.data && (
          <details>
            <summary>{t('Levels side by side')}</summary>
            <LevelTable
              rows={data.data.levelChart}
              own={data.data.ownColumns}
              level={Number(level) || 0}
              choose={(fm) => {
                setLevel(String(fm));
                setSystem('fm');
              }}
            />
          </details>
        )}
        <FieldRow>
          {groups.length > 0 && (
            <Select
              label={t('Group')}
              value={group}
              set={setGroup}
              options={[{ value: '', label: t('unchanged') }, ...groups.map((g) => ({ value: g.name, label: g.name }))]}
            />
          )}
          <Select
            label={t('Signs in with')}
            value={kind}
            set={(value) => setKind(value as SecretKind | '')}
            options={[
              { value: '', label: t('unchanged') },
              ...secretKinds.map((k) => ({ value: k, label: kindName(k) })),
            ]}
          />
          <Checkbox checked={renew} set={setRenew}>
            {t('A new secret for each; old cards stop working')}
          </Checkbox>
        </FieldRow>
        <Checkbox checked={withSupports} set={setWithSupports}>
          {t('Set the same supports for all')}
        </Checkbox>
        {withSupports && <SupportFields value={supports} change={setSupports} />}
        {error && !namesFields(error) ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={!details && !group}>
            {t('Change {{count}} readers', { count: members.length })}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
