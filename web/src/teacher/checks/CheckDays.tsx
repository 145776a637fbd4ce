import { fieldOf } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { FieldRow } from '../../ui/Field';
import { Row } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { DateField } from '../../ui/DateField';
import type { Choices } from './checkQueries';
import type { Form } from './plan';

/** When a check can be taken, and which colleagues supervise it. */
export function CheckDays({
  form,
  choices,
  error,
  put,
}: {
  form: Form;
  choices: Choices;
  error: unknown;
  put: (to: Partial<Form>) => void;
}) {
  const nameOf = (id: string) => choices.colleagues.find((c) => c.id === id)?.name ?? '';
  return (
    <section aria-labelledby="days" className="grid content-start gap-2">
      <h2 id="days" className="text-base">
        {t('Dates and colleagues')}
      </h2>
      <FieldRow>
        <DateField
          label={t('Opens on')}
          hint={t('Optional. Without a date, it opens now.')}
          value={form.opensOn ?? ''}
          set={(value) => put({ opensOn: value || null })}
        />
        <DateField
          label={t('Last day')}
          hint={t('Optional. Without a date, you end it.')}
          error={fieldOf(error, 'closesOn')}
          value={form.closesOn ?? ''}
          set={(value) => put({ closesOn: value || null })}
        />
      </FieldRow>
      <Select
        label={t('Share with colleague')}
        value=""
        set={(value) => value && put({ colleagues: [...form.colleagues, value] })}
        options={[
          { value: '', label: t('Choose…') },
          ...choices.colleagues
            .filter((c) => !form.colleagues.includes(c.id))
            .map((c) => ({ value: c.id, label: c.name })),
        ]}
      />
      {form.colleagues.length > 0 && (
        <Row>
          {form.colleagues.map((c) => (
            <Button
              size="sm"
              key={c}
              onClick={() => put({ colleagues: form.colleagues.filter((x) => x !== c) })}
              aria-label={t('Stop sharing with {{name}}', { name: nameOf(c) })}
            >
              {nameOf(c)} ×
            </Button>
          ))}
        </Row>
      )}
    </section>
  );
}
