import { useFields, line } from '../../shared/forms';
import { phrase, t } from '../../shared/words';
import { z } from 'zod';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextArea } from '../../ui/TextField';

const longest = 500;
const schema = z.object({
  comment: line(longest, phrase('Say what the reader should do now, in {{n}} letters or fewer.'), { n: longest }),
});

/** Sends work back with a comment: another round begins, and what was done before stays. */
export function SendBack({
  title,
  first = '',
  send,
  close,
}: {
  title: string;
  /** What stands in the comment already. */
  first?: string;
  send: (comment: string) => Promise<unknown>;
  close: () => void;
}) {
  const form = useFields({
    schema,
    start: { comment: first },
    send: async ({ comment }) => {
      await send(comment);
      close();
    },
  });
  return (
    <Dialog title={title} close={close}>
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
