import { z } from 'zod';
import { line, type Fields } from '../shared/forms';
import { gradeOptions } from '../shared/format';
import { phrase, t } from '../shared/words';
import { DateField } from '../ui/DateField';
import { FieldRow } from '../ui/Field';
import { Select } from '../ui/Select';
import { TextField } from '../ui/TextField';

export const classSchema = z
  .object({
    name: line(60, phrase('Enter a class name of 60 letters or fewer.')),
    /** -1 for a class of several grades. */
    grade: z.number(),
    firstDay: z.string(),
    lastDay: z.string(),
  })
  .refine((c) => !c.firstDay || !c.lastDay || c.firstDay <= c.lastDay, {
    path: ['lastDay'],
    error: () => t('The class ends before it starts.'),
  });
export type ClassForm = z.infer<typeof classSchema>;

/** A class as it is sent. */
export const classRequest = ({ name, grade, firstDay, lastDay }: ClassForm) => ({
  name,
  grade: grade < 0 ? null : grade,
  firstDay: firstDay || null,
  lastDay: lastDay || null,
});

/** A class's name, its grade, and when it begins and ends. */
export function ClassFields({
  form,
  yearName,
  disabled,
}: {
  form: Fields<ClassForm>;
  yearName: string | undefined;
  disabled?: boolean;
}) {
  return (
    <>
      <FieldRow>
        <TextField
          label={t('Class name')}
          hint={t('For example “4 Tern”')}
          disabled={disabled}
          {...form.field('name')}
        />
        <Select
          label={t('Grade')}
          hint={t('New readers start from it.')}
          disabled={disabled}
          {...form.field('grade')}
          options={[{ value: -1, label: t('several grades') }, ...gradeOptions]}
        />
      </FieldRow>
      <FieldRow>
        <DateField label={t('First day')} disabled={disabled} {...form.field('firstDay')} />
        <DateField label={t('Last day')} disabled={disabled} {...form.field('lastDay')} />
      </FieldRow>
      <p className="text-soft text-sm">
        {yearName
          ? t('Optional. Without a date, the whole school year {{year}}.', { year: yearName })
          : t('Optional. Without a date, the whole school year.')}
      </p>
    </>
  );
}
