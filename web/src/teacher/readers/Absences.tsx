import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { z } from 'zod';
import { api, ok, sentence, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf, today } from '../../shared/format';
import { useFields } from '../../shared/forms';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { DateField } from '../../ui/DateField';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextField } from '../../ui/TextField';

type Absence = Api<'AbsenceRow'>;

const days = (a: Absence) =>
  a.fromDay === a.toDay ? dayOf(a.fromDay) : t('{{from}} to {{to}}', { from: dayOf(a.fromDay), to: dayOf(a.toDay) });

/** Days the reader was not at school: goals and signals go by the days that were there. */
export function Absences({ readerId, mayChange }: { readerId: string; mayChange: boolean }) {
  const client = useQueryClient();
  const changed = useChanged();
  const key = keys.reader.absences(readerId);
  const absences = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/readers/{readerId}/absences', { params: { path: { readerId } } })),
  });
  const [adding, add] = useState(false);
  const now = async (rows: Absence[]) => {
    client.setQueryData(key, rows);
    await changed('goals');
  };
  const put = async (a: { id: string; from: string; to: string; reason: string }) =>
    now(
      await ok(
        api.PUT('/readers/{readerId}/absences/{absenceId}', {
          params: { path: { readerId, absenceId: a.id } },
          body: { from: a.from, to: a.to, reason: a.reason },
        }),
      ),
    );
  const remove = async (a: Absence) => {
    try {
      await now(
        await ok(
          api.DELETE('/readers/{readerId}/absences/{absenceId}', { params: { path: { readerId, absenceId: a.id } } }),
        ),
      );
      toast(t('Removed {{days}}', { days: days(a) }), {
        action: {
          label: t('Undo'),
          onClick: () =>
            void put({ id: a.id, from: a.fromDay, to: a.toDay, reason: a.reason }).catch((e: unknown) =>
              toast.error(sentence(e)),
            ),
        },
      });
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  if (!absences.data || (absences.data.length === 0 && !mayChange)) return null;
  return (
    <section className="px-4 pt-3.5" aria-labelledby="absences">
      <h2 id="absences">{t('Days away')}</h2>
      <p className="text-soft text-sm">
        {t('Goals and signals go by the school days the reader was there. Days ahead count, too.')}
      </p>
      <ul className="mt-1.5">
        {absences.data.map((a) => (
          <li key={a.id} className="border-line flex flex-wrap items-baseline gap-x-3 border-t py-1.5">
            <b>{days(a)}</b>
            {a.reason && <span>{a.reason}</span>}
            {a.by && <span className="text-soft text-sm">{a.by}</span>}
            <span className="grow" />
            {mayChange && (
              <Button size="sm" aria-label={t('Remove {{days}}', { days: days(a) })} onClick={() => void remove(a)}>
                {t('Remove')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {mayChange && (
        <Button size="sm" className="mt-1.5" onClick={() => add(true)}>
          {t('Add days away…')}
        </Button>
      )}
      {adding && <AddAbsence put={put} close={() => add(false)} />}
    </section>
  );
}

const schema = z
  .object({ from: z.string(), to: z.string(), reason: z.string().trim().max(200) })
  .refine((x) => x.from !== '' && x.to !== '' && x.from <= x.to, {
    path: ['to'],
    error: () => t('Choose a last day that is not before the first.'),
  });

function AddAbsence({
  put,
  close,
}: {
  put: (a: { id: string; from: string; to: string; reason: string }) => Promise<void>;
  close: () => void;
}) {
  const [id] = useState(() => crypto.randomUUID());
  const form = useFields({
    schema,
    start: { from: today(), to: today(), reason: '' },
    send: async (typed) => {
      await put({ id, ...typed });
      close();
    },
  });
  return (
    <Dialog title={t('Add days away')} close={close}>
      <Form of={form}>
        <DateField label={t('First day')} {...form.field('from')} />
        <DateField label={t('Last day')} {...form.field('to')} />
        <TextField label={t('Reason, optional')} maxLength={200} {...form.field('reason')} />
        <FormFoot of={form} close={close}>
          {t('Add')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
