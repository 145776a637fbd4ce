import { useRef, useState } from 'react';
import { z } from 'zod';
import { type Api, api, ok } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { present, useFields } from '../../../shared/forms';
import { sure } from '../../../shared/sure';
import { phrase, t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Form, Submit } from '../../../ui/Form';
import { NumberField, TextField } from '../../../ui/TextField';

type Answer = Api<'DeskAnswer'>;

const days = () => t('Enter 1 to {{n}} days.', { n: 200 });
const schema = z.object({
  typed: present(phrase('Enter a user name or the code of a copy.')),
  days: z.number().min(1, { error: days }).max(200, { error: days }),
});

function saidOf(answer: Answer): string {
  if (answer.what === 'Reader') return t('{{name}} borrows the next copy.', { name: answer.reader ?? '' });
  const copy = sure(answer.copy);
  return answer.what === 'Lent'
    ? t('{{name}} has “{{title}}” until {{day}}.', {
        name: answer.reader ?? '',
        title: copy.title,
        day: dayOf(sure(copy.dueOn)),
      })
    : t('Returned “{{title}}”.', { title: copy.title });
}

/** One field that lends and takes back, typed or scanned: a reader and then a copy lend it, a copy alone returns it. */
export function Desk({ done }: { done: () => void }) {
  const [reader, setReader] = useState<{ id: string; name: string } | null>(null);
  const [said, setSaid] = useState('');
  const box = useRef<HTMLInputElement>(null);
  const form = useFields({
    schema,
    start: { typed: '', days: 14 },
    send: async ({ typed, days: lent }) => {
      setSaid('');
      const answer = await ok(
        api.POST('/copies/desk', { body: { typed, readerId: reader?.id ?? null, days: lent } }),
      ).finally(() => box.current?.select());
      setReader(answer.what === 'Reader' ? { id: sure(answer.readerId), name: answer.reader ?? '' } : null);
      setSaid(saidOf(answer));
      form.restart({ typed: '', days: lent });
      box.current?.focus();
      if (answer.what !== 'Reader') done();
    },
  });
  const typed = form.field('typed');
  return (
    <Form of={form} className="border-line bg-sand border-y px-4 py-3" aria-label={t('Lend or return')}>
      <div className="flex flex-wrap items-start gap-3">
        <TextField
          label={reader ? t('Copy for {{name}}', { name: reader.name }) : t('User name or copy')}
          className="w-80 max-w-full"
          boxClass="h-11 text-lg"
          ref={box}
          autoFocus
          autoComplete="off"
          {...typed}
          error={typed.error ?? (form.fault || undefined)}
        />
        <NumberField label={t('Days')} boxClass="h-11 text-lg" min={1} max={200} {...form.field('days')} />
        <Submit of={form} className="mt-6 h-11">
          {t('Lend or return')}
        </Submit>
        {reader && (
          <Button
            className="mt-6 h-11"
            onClick={() => {
              setReader(null);
              setSaid('');
              box.current?.focus();
            }}
          >
            {t('Another reader')}
          </Button>
        )}
        <p role="status" className="mt-7 font-serif text-lg font-semibold">
          {said}
        </p>
      </div>
    </Form>
  );
}
