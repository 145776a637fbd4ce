import { useFields, line } from '../../../shared/forms';
import { phrase, t } from '../../../shared/words';
import { z } from 'zod';
import { Dialog } from '../../../ui/Dialog';
import { Form, FormFoot } from '../../../ui/Form';
import { TextArea } from '../../../ui/TextField';
import type { Plan } from '../week/useWeek';

const longest = 500;
const schema = z.object({
  comment: line(longest, phrase('Say what the reader should do now, in {{n}} letters or fewer.'), { n: longest }),
});

/** Sends work back with a comment: another round begins, and what was done before stays. */
export function SendBack({ plan, ticketIds, close }: { plan: Plan; ticketIds: string[]; close: () => void }) {
  const form = useFields({
    schema,
    start: { comment: '' },
    send: async ({ comment }) => {
      await plan.tell(plan.tickets('SendBack', ticketIds, comment));
      close();
    },
  });
  return (
    <Dialog title={t('Send back to {{count}} readers', { count: ticketIds.length })} close={close}>
      <Form of={form}>
        <TextArea
          label={t('Comment to reader')}
          hint={t('Readers see it on their home page. Earlier answers are kept.')}
          rows={4}
          autoFocus
          {...form.field('comment')}
        />
        <FormFoot of={form} close={close}>
          {t('Send back')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
