import { z } from 'zod';
import { useFields } from '../../../shared/forms';
import { t } from '../../../shared/words';
import { DateField } from '../../../ui/DateField';
import { Dialog } from '../../../ui/Dialog';
import { Form, FormFoot } from '../../../ui/Form';
import type { Plan } from '../week/useWeek';

const schema = z.object({ dueOn: z.string() });

/** Another last day for those who need one; what had closed for them opens again until then. */
export function OwnDay({
  plan,
  ticketIds,
  today,
  dueOn,
  close,
}: {
  plan: Plan;
  ticketIds: string[];
  today: string;
  dueOn: string | null;
  close: () => void;
}) {
  const form = useFields({
    schema,
    start: { dueOn: dueOn ?? '' },
    send: async (x) => {
      await plan.tell(plan.ownDay(ticketIds, x.dueOn || null));
      close();
    },
  });
  return (
    <Dialog title={t('Due day for {{count}} readers', { count: ticketIds.length })} close={close}>
      <Form of={form}>
        <DateField label={t('Due on')} min={today} {...form.field('dueOn')} />
        <p>{t('Only for them. Leave it empty for the day everybody has.')}</p>
        <FormFoot of={form} close={close}>
          {t('Save')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
