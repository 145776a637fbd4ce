import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { z } from 'zod';
import { api, ok } from '../../../shared/api';
import { present, useFields } from '../../../shared/forms';
import { keys } from '../../../shared/keys';
import { phrase, t } from '../../../shared/words';
import { Dialog } from '../../../ui/Dialog';
import { Form, FormFoot } from '../../../ui/Form';
import { TextArea, TextField } from '../../../ui/TextField';

const codesOf = (typed: string) =>
  typed
    .split(/[\n,;]+/)
    .map((code) => code.trim())
    .filter(Boolean);

const schema = z.object({
  title: present(phrase('Enter a title.')),
  codes: z.string().refine((typed) => codesOf(typed).length > 0, { error: () => t('Enter a code for each copy.') }),
});

/** Copies of a text, each with its code. */
export function AddCopies({ close }: { close: () => void }) {
  const form = useFields({
    schema,
    start: { title: '', codes: '' },
    send: async ({ title, codes }) => {
      const made = await ok(api.POST('/copies', { body: { textId: text?.id ?? null, title, codes: codesOf(codes) } }));
      toast.success(t('{{count}} copies added', { count: made.made }), {
        description: made.taken.length
          ? t('Codes already in use: {{codes}}', { codes: made.taken.join(', ') })
          : undefined,
      });
      close();
    },
  });
  const title = form.values.title.trim();
  const found = useQuery({
    queryKey: keys.library.forCopies(title),
    enabled: title.length > 2,
    queryFn: () => ok(api.GET('/library', { params: { query: { q: title } } })),
  });
  const text = found.data?.rows.find((r) => r.title.toLowerCase() === title.toLowerCase());
  return (
    <Dialog title={t('Add copies')} close={close}>
      <Form of={form}>
        <TextField
          label={t('Title')}
          hint={text ? t('In the library, so copies link to it.') : t('A library title or any other.')}
          list="c-titles"
          {...form.field('title')}
        />
        <datalist id="c-titles">
          {found.data?.rows.slice(0, 12).map((r) => (
            <option key={r.id} value={r.title} />
          ))}
        </datalist>
        <TextArea label={t('Codes, one per line')} rows={6} {...form.field('codes')} />
        <FormFoot of={form} close={close}>
          {t('Add copies')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
