import { z } from 'zod';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, fm, halfRange } from '../../shared/format';
import { useFields } from '../../shared/forms';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { LevelFields } from './LevelFields';
import { useChange, type InClass } from './useChange';
import { Button } from '../../ui/Button';
import { Radios } from '../../ui/Checkbox';
import { Dialog } from '../../ui/Dialog';
import { FieldRow, FieldSet } from '../../ui/Field';
import { Form, FormFoot } from '../../ui/Form';
import { DateField } from '../../ui/DateField';
import { TextField } from '../../ui/TextField';

/** The level a teacher has set, with the estimate that goes on beneath. */
export function Standing({ set, may, end }: { set: Api<'SetLevelView'>; may: boolean; end: () => void }) {
  const until = set.until ? t('until {{day}}', { day: dayOf(set.until) }) : t('until the next level check');
  return (
    <p className="border-overlay my-1 border-l-3 px-3 py-1.5">
      <b>{t('Set to {{level}} fm {{until}}.', { level: fm(set.level), until })}</b>{' '}
      {t('{{who}}, {{day}}: {{reason}}', { who: set.by, day: dayOf(set.at), reason: set.reason })}{' '}
      <span className="text-soft">
        {t('Estimate beneath: {{depth}} ± {{range}} fm.', {
          depth: fm(set.estimate),
          range: halfRange(set.estimateSd).toFixed(1),
        })}
      </span>{' '}
      {may && (
        <Button size="sm" onClick={end}>
          {t('End set level')}
        </Button>
      )}
    </p>
  );
}

const schema = z.object({
  level: z.string(),
  system: z.string(),
  dated: z.boolean(),
  until: z.string(),
  reason: z.string(),
});

/** Makes the level what the teacher says, until a day or the next level check. */
export function SetLevel({
  params,
  labels,
  now,
  close,
}: {
  params: InClass;
  labels: Api<'LabelView'>[];
  now: number;
  close: () => void;
}) {
  const once = useOnce();
  const change = useChange(close);
  const form = useFields({
    schema,
    start: { level: fm(now), system: 'fm', dated: false, until: '', reason: '' },
    send: ({ dated, until, ...typed }) => {
      const wanted = { ...typed, until: dated && until ? until : null };
      return change.mutateAsync(() =>
        ok(
          api.PUT('/classes/{classId}/readers/{readerId}/level', {
            params,
            body: { ...wanted, id: once.idOf(wanted) },
          }),
        ),
      );
    },
  });
  const { dated, until } = form.values;
  return (
    <Dialog title={t('Set level')} close={close}>
      <Form of={form}>
        <p>{t('Your level is used everywhere. The estimate goes on beneath, and both are shown.')}</p>
        <FieldRow>
          <LevelFields level={form.field('level')} system={form.field('system')} labels={labels} />
        </FieldRow>
        <FieldSet legend={t('Until')}>
          <Radios
            label={t('Until')}
            value={dated ? 'date' : 'check'}
            options={[
              { value: 'check', label: t('the next level check') },
              { value: 'date', label: t('a date') },
            ]}
            set={(to) => form.set('dated', to === 'date')}
          />
          {dated && <DateField label={t('Last day')} {...form.field('until')} />}
        </FieldSet>
        <TextField label={t('Why')} {...form.field('reason')} />
        <FormFoot of={form} close={close} disabled={dated && !until}>
          {t('Set level')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
