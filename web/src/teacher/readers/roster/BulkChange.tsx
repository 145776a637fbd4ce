import { z } from 'zod';
import { api, ok } from '../../../shared/api';
import { gradeOptions } from '../../../shared/format';
import { useFields } from '../../../shared/forms';
import { kindName, secretKinds } from '../../../shared/Secret';
import { useChanged } from '../../../shared/changed';
import { t } from '../../../shared/words';
import { useClass, useSaid } from '../../classQueries';
import { LevelTable } from '../LevelTable';
import type { Member, Roster } from './rosterQueries';
import { SupportFields } from './SupportFields';
import { noSupports } from '../../../shared/supports';
import { sure } from '../../../shared/sure';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog } from '../../../ui/Dialog';
import { FieldRow } from '../../../ui/Field';
import { Form, FormFoot } from '../../../ui/Form';
import { Select } from '../../../ui/Select';
import { TextField } from '../../../ui/TextField';

const schema = z.object({
  grade: z.string(),
  level: z.string().trim(),
  system: z.string(),
  kind: z.enum(['', ...secretKinds]),
  renew: z.boolean(),
  withSupports: z.boolean(),
  supports: z.custom<typeof noSupports>(),
  group: z.string(),
});
type BulkForm = z.infer<typeof schema>;

/** Whether anything but the group is to change. */
const touches = (form: BulkForm) => !!(form.grade || form.level || form.kind || form.renew || form.withSupports);

/** Changes the same things for several readers: what is left empty stays as it is for each. */
export function BulkChange({ roster, members, close }: { roster: Roster; members: Member[]; close: () => void }) {
  const data = useClass(roster.id);
  const changed = useChanged();
  const said = useSaid();
  // Groups are the teachers' own: a school lead who is not in the class leaves them alone.
  const groups = data.data && data.data.part !== 'None' ? data.data.groups : [];
  const ids = members.map((m) => m.id);
  const moveTo = async (group: string) => {
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
  };
  const change = async (form: BulkForm) => {
    const done = await ok(
      api.POST('/classes/{classId}/bulk', {
        params: { path: { classId: roster.id } },
        body: {
          readerIds: ids,
          grade: form.grade === '' ? null : Number(form.grade),
          level: form.level || null,
          levelSystem: form.system,
          supports: form.withSupports ? form.supports : null,
          secretKind: form.kind || null,
          newSecrets: form.renew,
        },
      }),
    );
    said(done.sentence, done.changeId);
  };
  const form = useFields({
    schema,
    start: {
      grade: '',
      level: '',
      system: sure(roster.systems[0]),
      kind: '',
      renew: false,
      withSupports: false,
      supports: noSupports,
      group: '',
    },
    send: async (typed) => {
      if (typed.group) await moveTo(typed.group);
      if (touches(typed)) await change(typed);
      await changed('roster');
      close();
    },
  });
  const { level, group, withSupports } = form.values;
  return (
    <Dialog title={t('Change {{count}} readers', { count: members.length })} close={close}>
      <Form of={form}>
        <p className="text-soft text-sm">{members.map((m) => m.givenName).join(', ')}</p>
        <FieldRow>
          <Select
            label={t('Grade')}
            {...form.field('grade')}
            options={[
              { value: '', label: t('unchanged') },
              ...gradeOptions.map((g) => ({ ...g, value: String(g.value) })),
            ]}
          />
          <TextField label={t('Level')} placeholder={t('unchanged')} {...form.field('level')} />
          <Select
            label={t('Level unit')}
            {...form.field('system')}
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
                form.set('level', String(fm));
                form.set('system', 'fm');
              }}
            />
          </details>
        )}
        <FieldRow>
          {groups.length > 0 && (
            <Select
              label={t('Group')}
              {...form.field('group')}
              options={[{ value: '', label: t('unchanged') }, ...groups.map((g) => ({ value: g.name, label: g.name }))]}
            />
          )}
          <Select
            label={t('Signs in with')}
            {...form.field('kind')}
            options={[
              { value: '' as const, label: t('unchanged') },
              ...secretKinds.map((k) => ({ value: k, label: kindName(k) })),
            ]}
          />
          <Checkbox {...form.tick('renew')}>{t('A new secret for each; old cards stop working')}</Checkbox>
        </FieldRow>
        <Checkbox {...form.tick('withSupports')}>{t('Set the same supports for all')}</Checkbox>
        {withSupports && (
          <SupportFields value={form.values.supports} change={(supports) => form.set('supports', supports)} />
        )}
        <FormFoot of={form} close={close} disabled={!touches(form.values) && !group}>
          {t('Change {{count}} readers', { count: members.length })}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
