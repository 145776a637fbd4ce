import { z } from 'zod';
import { useFields } from '../../../shared/forms';
import { t } from '../../../shared/words';
import type { Api } from '../../../shared/api';
import { Dialog } from '../../../ui/Dialog';
import { FieldRow } from '../../../ui/Field';
import { Form, FormFoot } from '../../../ui/Form';
import { DateField } from '../../../ui/DateField';
import { TextArea, TextField } from '../../../ui/TextField';
import type { Plan } from './useWeek';

const schema = z
  .object({
    visibleFrom: z.string(),
    dueOn: z.string(),
    heading: z.string(),
    directions: z.string(),
    note: z.string(),
  })
  .refine((x) => !x.dueOn || x.dueOn >= x.visibleFrom, {
    path: ['dueOn'],
    error: () => t('It is due before readers see it. Choose a later day.'),
  });

/** When an assignment is seen and due, and what is said with it; what that means for readers is said first. */
export function ChangeTerms({
  a,
  plan,
  today,
  close,
}: {
  a: Api<'AssignmentRow'>;
  plan: Plan;
  today: string;
  close: () => void;
}) {
  const form = useFields({
    schema,
    start: {
      visibleFrom: a.visibleFrom,
      dueOn: a.dueOn ?? '',
      heading: a.heading,
      directions: a.directions,
      note: a.note,
    },
    send: async ({ dueOn, ...terms }) => {
      await plan.tell(plan.change(a, { ...terms, dueOn: dueOn || null }));
      close();
    },
  });
  const hides = !a.draft && a.waiting > 0 && form.values.visibleFrom > today;
  return (
    <Dialog title={t('Change “{{title}}”', { title: a.title })} close={close}>
      <Form of={form}>
        <FieldRow>
          <DateField label={t('Visible from')} {...form.field('visibleFrom')} />
          <DateField label={t('Due on')} {...form.field('dueOn')} />
        </FieldRow>
        {hides && (
          <p role="status">
            {t('Readers who have not begun will not see it until then: {{count}} readers.', { count: a.waiting })}
          </p>
        )}
        <TextField label={t('Heading for readers')} hint={t('Optional')} {...form.field('heading')} />
        <TextArea label={t('Directions for readers')} rows={3} {...form.field('directions')} />
        <TextArea label={t('Note for colleagues')} rows={2} {...form.field('note')} />
        <FormFoot of={form} close={close}>
          {t('Save')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
