import { z } from 'zod';
import { line, useFields } from '../../shared/forms';
import { phrase, t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextField } from '../../ui/TextField';
import type { NextGroup, Plan } from './plan';

/** A group made from what is in the tray; its readers leave the groups they are in. */
export function CreateGroup({
  plan,
  readers,
  close,
  make,
}: {
  plan: Plan;
  readers: ReaderRow[];
  close: () => void;
  make: (plan: NextGroup[]) => void;
}) {
  const ids = readers.map((r) => r.id);
  const schema = z.object({
    name: line(40, phrase('Enter a name of 40 letters or fewer.')).refine(
      (name) => !plan.some((g) => g.name.toLowerCase() === name.toLowerCase()),
      { error: () => t('A group has this name. Choose another.') },
    ),
  });
  const form = useFields({
    schema,
    start: { name: '' },
    send: ({ name }) => {
      make([
        ...plan.map((g) => ({ ...g, readerIds: g.readerIds.filter((id) => !ids.includes(id)) })),
        { id: null, name, readerIds: ids },
      ]);
      return Promise.resolve();
    },
  });
  return (
    <Dialog title={t('Create group')} close={close}>
      <Form of={form}>
        <p>{readers.map((r) => r.called).join(', ')}</p>
        <TextField label={t('Group name')} autoFocus {...form.field('name')} />
        <FormFoot of={form} close={close} disabled={readers.length === 0}>
          {t('Add group')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
