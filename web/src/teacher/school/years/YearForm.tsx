import { useState } from 'react';
import { toast } from 'sonner';
import { useAllChanged } from '../../../shared/changed';
import { addDays } from '../../../shared/days';
import { useFields, type Fields } from '../../../shared/forms';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { DateField } from '../../../ui/DateField';
import { FieldRow } from '../../../ui/Field';
import { Form, FormFault, Submit } from '../../../ui/Form';
import { Card } from '../../../ui/Page';
import { TextField } from '../../../ui/TextField';
import { daysBetween, turned } from './yearDays';
import { yearSchema, type YearFields } from './yearFields';
import { YearStrip } from './YearStrip';

type Of = { form: Fields<YearFields> };

/** A school year: its days, its terms, its days off. */
export function YearForm({
  start,
  days,
  save,
  button,
}: {
  start: YearFields;
  days?: number;
  save: (f: YearFields) => Promise<void>;
  button: string;
}) {
  const changed = useAllChanged();
  const form = useFields<YearFields>({
    schema: yearSchema,
    start,
    send: async (typed) => {
      await save(typed);
      toast.success(t('Saved'));
      await changed();
    },
  });
  return (
    <Form of={form} className="grid content-start gap-4 px-4 pt-1 pb-4">
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
        <Card aria-labelledby="y">
          <h2 id="y">
            {t('Year')}
            {days !== undefined && (
              <span className="font-ui text-soft text-sm font-normal">
                {' '}
                {t('{{count}} school days', { count: days })}
              </span>
            )}
          </h2>
          <TextField label={t('Name')} {...form.field('name')} />
          <FieldRow>
            <DateField label={t('First day')} {...form.field('firstDay')} />
            <DateField label={t('Last day')} {...form.field('lastDay')} />
          </FieldRow>
        </Card>
        <Terms form={form} />
      </div>
      <DaysOff form={form} />
      <div className="bg-paper border-line sticky bottom-0 flex flex-wrap items-center justify-end gap-3 border-t py-2">
        <FormFault of={form} />
        <Submit of={form}>{button}</Submit>
      </div>
    </Form>
  );
}

function Terms({ form }: Of) {
  const { terms, lastDay, firstDay } = form.values;
  const add = () => {
    const before = terms.at(-1)?.lastDay;
    form.set('terms', [
      ...terms,
      {
        id: null,
        name: t('Term {{n}}', { n: terms.length + 1 }),
        firstDay: before ? addDays(before, 1) : firstDay,
        lastDay,
      },
    ]);
  };
  return (
    <Card aria-labelledby="t">
      <h2 id="t">{t('Terms')}</h2>
      {terms.map((x, i) => (
        <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-[1.4fr_1fr_1fr_auto]" key={i}>
          <TextField label={t('Name of term {{n}}', { n: i + 1 })} {...form.field(`terms.${i}.name`)} />
          <DateField label={t('First day')} {...form.field(`terms.${i}.firstDay`)} />
          <DateField label={t('Last day')} {...form.field(`terms.${i}.lastDay`)} />
          <Button
            className="self-end"
            onClick={() =>
              form.set(
                'terms',
                terms.filter((_, n) => n !== i),
              )
            }
            aria-label={t('Remove {{name}}', { name: x.name })}
          >
            {t('Remove')}
          </Button>
        </div>
      ))}
      <p>
        <Button size="sm" onClick={add}>
          {t('Add term')}
        </Button>
      </p>
    </Card>
  );
}

function DaysOff({ form }: Of) {
  const { firstDay, lastDay, terms, daysOff } = form.values;
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const set = (days: string[]) => form.set('daysOff', days);
  const add = () => {
    const stretch = daysBetween(from, to || from).filter((day) => !daysOff.includes(day));
    if (stretch.length > 0) set(turned(daysOff, stretch));
    setFrom('');
    setTo('');
  };
  return (
    <Card aria-labelledby="o">
      <h2 id="o">
        {t('Days off')}{' '}
        <span className="font-ui text-soft text-sm font-normal">
          {t('{{count}} days, hatched below. Press a day to change it; hold Shift for a stretch.', {
            count: daysOff.length,
          })}
        </span>
      </h2>
      <div className="flex flex-wrap items-center gap-2">
        <DateField label={t('From')} inline value={from} set={setFrom} />
        <DateField label={t('to')} inline value={to} set={setTo} />
        <Button disabled={!from} onClick={add}>
          {t('Add days off')}
        </Button>
      </div>
      <YearStrip firstDay={firstDay} lastDay={lastDay} terms={terms} daysOff={daysOff} set={set} />
    </Card>
  );
}
