import { useState } from 'react';
import { useFields } from '../../../shared/forms';
import { t } from '../../../shared/words';
import type { Api } from '../../../shared/api';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog } from '../../../ui/Dialog';
import { FieldRow } from '../../../ui/Field';
import { Form, FormFoot } from '../../../ui/Form';
import { DateField } from '../../../ui/DateField';
import { Select } from '../../../ui/Select';
import { NumberField, TextArea, TextField } from '../../../ui/TextField';
import { fieldsOf, needOptions, placeOptions, resultOptions, talkWords, termsOf, termsSchema } from '../terms';
import type { Plan } from './useWeek';

/** When an assignment is seen and due, and what is said with it; what that means for readers is said first. */
export function ChangeTerms({
  a,
  others,
  plan,
  today,
  close,
}: {
  a: Api<'AssignmentRow'>;
  /** What was given in the same act. */
  others: Api<'AssignmentRow'>[];
  plan: Plan;
  today: string;
  close: () => void;
}) {
  const [together, setTogether] = useState(false);
  const form = useFields({
    schema: termsSchema,
    start: fieldsOf(a),
    send: async (terms) => {
      await plan.tell(plan.change(a, termsOf(terms), together));
      close();
    },
  });
  const never = form.values.need === 'Recommended';
  const hides = !a.draft && a.waiting > 0 && form.values.visibleFrom > today;
  return (
    <Dialog title={t('Change “{{title}}”', { title: a.title })} close={close}>
      <Form of={form}>
        {others.length > 0 && (
          <p>
            <Checkbox checked={together} set={setTogether}>
              {t('Make the same changes to {{count}} tasks assigned with it', { count: others.length })}
            </Checkbox>
          </p>
        )}
        <FieldRow>
          <DateField label={t('Visible from')} {...form.field('visibleFrom')} />
          {!never && <DateField label={t('Due on')} {...form.field('dueOn')} />}
        </FieldRow>
        {hides && (
          <p role="status">
            {t('Readers who have not begun will not see it until then: {{count}} readers.', { count: a.waiting })}
          </p>
        )}
        <FieldRow>
          <Select label={t('Kind of work')} {...form.field('need')} options={needOptions()} />
          <Select label={t('Readers see results')} {...form.field('results')} options={resultOptions()} />
        </FieldRow>
        <FieldRow>
          <DateField label={t('Closes after')} {...form.field('closesOn')} />
          <Select label={t('Where')} {...form.field('place')} options={placeOptions()} />
        </FieldRow>
        <FieldRow>
          <DateField
            label={t('Release marked work on')}
            hint={t('Optional. Without a day, you release it.')}
            {...form.field('releasesOn')}
          />
          <NumberField
            label={t('Worth, points')}
            hint={t('0: not in the gradebook')}
            min={0}
            max={1000}
            {...form.field('worth')}
          />
        </FieldRow>
        {a.textId && (
          <p>
            <Checkbox checked={form.values.mayChange} set={form.field('mayChange').set}>
              {t('Readers may change to another version within reach')}
            </Checkbox>
          </p>
        )}
        <p>
          <Checkbox checked={form.values.talk} set={form.field('talk').set}>
            {t(talkWords)}
          </Checkbox>
        </p>
        <TextField label={t('Heading for readers')} hint={t('Optional')} {...form.field('heading')} />
        <TextArea label={t('Directions for readers')} rows={3} {...form.field('directions')} />
        {form.values.directions && (
          <TextArea
            label={t('Directions in Spanish, for homes that speak it')}
            rows={2}
            {...form.field('homeDirections')}
          />
        )}
        <TextArea label={t('Note for colleagues')} rows={2} {...form.field('note')} />
        <FormFoot of={form} close={close}>
          {t('Save')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
