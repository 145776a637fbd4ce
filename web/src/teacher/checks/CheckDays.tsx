import type { Fields } from '../../shared/forms';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { FieldRow } from '../../ui/Field';
import { Row } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { DateField } from '../../ui/DateField';
import type { Choices } from './checkQueries';
import type { CheckForm } from './plan';

/** When a check can be taken, and which colleagues supervise it. */
export function CheckDays({ form, choices }: { form: Fields<CheckForm>; choices: Choices }) {
  const { colleagues } = form.values;
  const share = (ids: string[]) => form.set('colleagues', ids);
  const day = (name: 'opensOn' | 'closesOn') => {
    const { value, set, ...field } = form.field(name);
    return { ...field, value: value ?? '', set: (to: string) => set(to || null) };
  };
  const nameOf = (id: string) => choices.colleagues.find((c) => c.id === id)?.name ?? '';
  return (
    <section aria-labelledby="days" className="grid content-start gap-2">
      <h2 id="days" className="text-base">
        {t('Dates and colleagues')}
      </h2>
      <FieldRow>
        <DateField label={t('Opens on')} hint={t('Optional. Without a date, it opens now.')} {...day('opensOn')} />
        <DateField label={t('Last day')} hint={t('Optional. Without a date, you end it.')} {...day('closesOn')} />
      </FieldRow>
      <Select
        label={t('Share with colleague')}
        value=""
        set={(value) => value && share([...colleagues, value])}
        options={[
          { value: '', label: t('Choose…') },
          ...choices.colleagues.filter((c) => !colleagues.includes(c.id)).map((c) => ({ value: c.id, label: c.name })),
        ]}
      />
      {colleagues.length > 0 && (
        <Row>
          {colleagues.map((c) => (
            <Button
              size="sm"
              key={c}
              onClick={() => share(colleagues.filter((x) => x !== c))}
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
