import { useState } from 'react';
import { useFields, line } from '../../shared/forms';
import { phrase, t } from '../../shared/words';
import { z } from 'zod';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextArea } from '../../ui/TextField';

const longest = 500;
const needed = z.object({
  comment: line(longest, phrase('Say what the reader should do now, in {{n}} letters or fewer.'), { n: longest }),
});
// What is asked again says itself what to do.
const optional = z.object({
  comment: z
    .string()
    .trim()
    .max(longest, { error: () => t('Use {{n}} letters or fewer.', { n: longest }) }),
});

/** Sends work back with a comment: another round begins, and what was done before stays. */
export function SendBack({
  title,
  first = '',
  missed = false,
  send,
  close,
}: {
  title: string;
  /** What stands in the comment already. */
  first?: string;
  /** There is a quiz whose missed questions alone can be asked again. */
  missed?: boolean;
  send: (comment: string, onlyMissed: boolean) => Promise<unknown>;
  close: () => void;
}) {
  const [only, setOnly] = useState(false);
  const form = useFields({
    schema: only ? optional : needed,
    start: { comment: first },
    send: async ({ comment }) => {
      await send(comment, only);
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
        {missed && (
          <Checkbox checked={only} set={setOnly}>
            {t('Ask only the questions they missed; both tries are kept')}
          </Checkbox>
        )}
        <FormFoot of={form} close={close}>
          {t('Send back')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
