import { z } from 'zod';
import { useFields } from '../../shared/forms';
import { t } from '../../shared/words';
import { Dialog } from '../../ui/Dialog';
import { FieldRow } from '../../ui/Field';
import { Form, FormFoot } from '../../ui/Form';
import { NumberField } from '../../ui/TextField';
import type { Rules } from './plan';

const most = { groups: 12, cost: 50, weight: 5 };
const count = (max: number) =>
  z
    .number({ error: () => t('Enter 1 to {{n}}.', { n: max }) })
    .int()
    .min(1)
    .max(max, { error: () => t('Enter 1 to {{n}}.', { n: max }) });
const amount = (max: number) =>
  z
    .number({ error: () => t('Enter 0 to {{n}}.', { n: max }) })
    .min(0)
    .max(max, { error: () => t('Enter 0 to {{n}}.', { n: max }) });
const schema = z
  .object({
    groups: count(most.groups),
    smallest: count(100),
    largest: count(100),
    moveCost: amount(most.cost),
    strands: amount(most.weight),
    rate: amount(most.weight),
  })
  .refine((x) => x.smallest <= x.largest, {
    path: ['largest'],
    error: () => t('Set the largest above the smallest.'),
  });

/** How many groups of which size, what a move costs, and what else weighs beside the level. */
export function SizesDialog({ rules, put, close }: { rules: Rules; put: (rules: Rules) => void; close: () => void }) {
  const form = useFields({
    schema,
    start: {
      groups: rules.groups,
      smallest: rules.smallest,
      largest: rules.largest,
      moveCost: rules.moveCost ?? 1,
      strands: rules.strands ?? 0.2,
      rate: rules.rate ?? 0.1,
    },
    send: (x) => {
      put({ ...rules, ...x });
      close();
      return Promise.resolve();
    },
  });
  return (
    <Dialog title={t('Number and size of groups')} close={close}>
      <Form of={form}>
        <FieldRow>
          <NumberField label={t('Groups')} min={1} max={most.groups} {...form.field('groups')} />
          <NumberField label={t('Smallest')} min={1} {...form.field('smallest')} />
          <NumberField label={t('Largest')} min={1} {...form.field('largest')} />
        </FieldRow>
        <NumberField
          label={t('Cost of a move, fm')}
          hint={t('Readers stay where they are unless moving brings them closer by more than this.')}
          min={0}
          step={0.5}
          {...form.field('moveCost')}
        />
        <FieldRow>
          <NumberField
            label={t('Weight of strands')}
            hint={t('fm for each percent of difference')}
            min={0}
            step={0.05}
            {...form.field('strands')}
          />
          <NumberField
            label={t('Weight of rate')}
            hint={t('fm for each word a minute')}
            min={0}
            step={0.05}
            {...form.field('rate')}
          />
        </FieldRow>
        <FormFoot of={form} close={close}>
          {t('Save')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
