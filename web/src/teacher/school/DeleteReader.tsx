import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { z } from 'zod';
import { api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { present, useFields } from '../../shared/forms';
import { keys } from '../../shared/keys';
import { phrase, say, t } from '../../shared/words';
import { Form, FormFault, Submit } from '../../ui/Form';
import { TextField } from '../../ui/TextField';
import { whole, type SchoolReader } from './schoolReader';

const schema = z.object({ name: present(phrase('Type the full name.')) });

/** Deletes a reader with everything that is theirs; there is no way back, so the name is typed. */
export function DeleteReader({ reader, close }: { reader: SchoolReader; close: () => void }) {
  const goes = useQuery({
    queryKey: keys.goesAlong(reader.id),
    queryFn: () => ok(api.GET('/readers/{readerId}/delete', { params: { path: { readerId: reader.id } } })),
  });
  const changed = useChanged();
  const form = useFields({
    schema,
    start: { name: '' },
    send: async ({ name }) => {
      await ok(api.POST('/readers/{readerId}/delete', { params: { path: { readerId: reader.id } }, body: { name } }));
      toast.success(t('Deleted permanently, with all records.'));
      void changed('roster');
      close();
    },
  });
  return (
    <details className="border-ink rounded-md border border-dashed px-3 py-2">
      <summary className="min-h-6 cursor-pointer font-semibold">{t('Delete permanently')}</summary>
      <Form of={form} className="mt-2 grid gap-3">
        <p className="text-soft text-sm">
          {t(
            phrase(
              'Deletes {{name}} with all answers, levels, goals and guardians who follow no one else. This ' +
                'cannot be undone. The log notes only that it happened.',
            ),
            { name: whole(reader) },
          )}
        </p>
        {goes.data && goes.data.length > 0 && (
          <p className="text-soft text-sm">
            {t(
              phrase(
                'This also deletes {{what}}, and the reader’s rows in roster files. Texts, classes and other ' +
                  'readers stay.',
              ),
              { what: goes.data.map(say).join(', ') },
            )}
          </p>
        )}
        <TextField label={t('Type the full name to confirm')} autoComplete="off" {...form.field('name')} />
        <FormFault of={form} />
        <Submit of={form} look="danger" disabled={!form.values.name.trim()}>
          {t('Delete {{name}} permanently', { name: reader.givenName })}
        </Submit>
      </Form>
    </details>
  );
}
