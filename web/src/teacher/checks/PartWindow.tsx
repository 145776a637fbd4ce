import { z } from 'zod';
import { fm } from '../../shared/format';
import { useFields } from '../../shared/forms';
import { t } from '../../shared/words';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog } from '../../ui/Dialog';
import { FieldRow } from '../../ui/Field';
import { Form, FormFoot } from '../../ui/Form';
import { NumberField } from '../../ui/TextField';
import { partNames } from './checkQueries';
import type { PartPlan, Plan } from './plan';

const minutes = () => t('Enter 1 to 60 minutes.');
const depth = z.number().min(-20, { error: () => t('Enter a depth from −20 to 100 fm.') });
const schema = z.object({
  minutes: z.number().min(1, { error: minutes }).max(60, { error: minutes }),
  skipBelow: depth.nullable(),
  skipAbove: depth.nullable(),
  skipMastered: z.boolean(),
  skipUndecoding: z.boolean(),
});
type PartForm = z.infer<typeof schema>;

/** Who skips a part, in words; empty where no one does. */
export function skipWords(p: PartPlan): string {
  const who = [
    p.skipBelow != null && t('readers below {{fm}} fm', { fm: fm(p.skipBelow) }),
    p.skipAbove != null && t('readers above {{fm}} fm', { fm: fm(p.skipAbove) }),
    p.skipMastered && t('who mastered it this year'),
    p.skipUndecoding && t('who do not decode yet'),
  ].filter((x) => x !== false);
  return who.length > 0 ? t('Skips {{who}}.', { who: who.join(', ') }) : '';
}

/** A part's time and who skips it. */
export function PartWindow({
  part,
  plan,
  locked,
  close,
  save,
}: {
  part: PartPlan;
  plan: Plan;
  locked: boolean;
  close: () => void;
  save: (p: PartPlan) => void;
}) {
  const form = useFields<PartForm>({
    schema,
    start: { ...part, skipBelow: part.skipBelow ?? null, skipAbove: part.skipAbove ?? null },
    send: (typed) => {
      save({ ...part, ...typed });
      close();
      return Promise.resolve();
    },
  });
  const limit = (name: 'skipBelow' | 'skipAbove', label: string) => (
    <NumberField label={label} disabled={locked} {...form.field(name)} unset={() => form.set(name, null)} />
  );
  const decoding = part.part === 'Passages' || part.part === 'Maze';
  return (
    <Dialog title={t('Edit {{name}}', { name: t(partNames[part.part]) })} close={close}>
      <Form of={form}>
        <FieldRow>
          <NumberField
            label={part.part === 'Maze' ? t('Minutes') : t('At most (minutes)')}
            min={1}
            max={60}
            disabled={locked}
            {...form.field('minutes')}
          />
          {limit('skipBelow', t('Skip readers below (fm)'))}
          {limit('skipAbove', t('and above (fm)'))}
        </FieldRow>
        <Checkbox disabled={locked} {...form.tick('skipMastered')}>
          {t('Skip readers who mastered it this year')}
        </Checkbox>
        {decoding && (
          <Checkbox
            disabled={locked || !plan.parts.some((x) => x.part === 'WordReading')}
            {...form.tick('skipUndecoding')}
          >
            {t('Skip readers not yet decoding, by word reading')}
          </Checkbox>
        )}
        <FormFoot of={form} close={close} disabled={locked}>
          {t('Save')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
