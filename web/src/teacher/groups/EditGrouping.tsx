import { useState } from 'react';
import { z } from 'zod';
import { api, ok } from '../../shared/api';
import { line, useFields } from '../../shared/forms';
import { useSession } from '../../shared/session';
import { phrase, t } from '../../shared/words';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog } from '../../ui/Dialog';
import { FieldSet } from '../../ui/Field';
import { Form, FormFoot } from '../../ui/Form';
import { TextField } from '../../ui/TextField';
import type { ClassData } from '../classQueries';
import type { Grouping } from './useGrouping';

/** What a grouping is for, and whose readers it takes in besides the class's own. */
export function EditGrouping({
  of,
  data,
  close,
  done,
}: {
  /** Null for a new one. */
  of: Grouping | null;
  data: ClassData;
  close: () => void;
  done: (id: string) => Promise<void>;
}) {
  // Sent twice, a new one is still one.
  const [id] = useState(() => of?.id ?? crypto.randomUUID());
  const [others, setOthers] = useState<readonly string[]>(of?.others ?? []);
  const classes = (useSession().data?.classes ?? []).filter((c) => c.id !== data.id);
  const form = useFields({
    schema: z.object({ name: line(40, phrase('Enter a name of 40 letters or fewer.')) }),
    start: { name: of?.name ?? '' },
    send: async ({ name }) => {
      await ok(
        api.PUT('/classes/{classId}/groupings/{groupingId}', {
          params: { path: { classId: data.id, groupingId: id } },
          body: { name, others: [...others] },
        }),
      );
      await done(id);
    },
  });
  return (
    <Dialog title={of ? t('Edit grouping') : t('New grouping')} close={close}>
      <Form of={form}>
        <p>{t('Its groups stand beside those of guided reading. A reader can be in one of each.')}</p>
        <TextField label={t('What it is for')} hint={t('For example “Word work”.')} autoFocus {...form.field('name')} />
        {classes.length > 0 && (
          <FieldSet legend={t('Readers of these classes, too')}>
            {classes.map((c) => (
              <Checkbox
                key={c.id}
                checked={others.includes(c.id)}
                set={(on) => setOthers(on ? [...others, c.id] : others.filter((x) => x !== c.id))}
              >
                {c.name}
              </Checkbox>
            ))}
          </FieldSet>
        )}
        <FormFoot of={form} close={close}>
          {of ? t('Save grouping') : t('Create grouping')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
