import type { ReactNode } from 'react';
import type { Api } from '../../shared/api';
import { t } from '../../shared/words';
import { Checkbox, Radios } from '../../ui/Checkbox';
import { FieldSet } from '../../ui/Field';
import { TextField } from '../../ui/TextField';
import type { Ask, FieldName } from './useLibrary';

/** A number that narrows the list from one side. */
export function Limit({ ask, field, name, unit }: { ask: Ask; field: FieldName; name: string; unit?: string }) {
  return (
    <span className="flex items-center gap-1.5">
      <TextField
        label={`${name} ${unit ?? ''}`.trim()}
        bare
        type="number"
        inputMode="decimal"
        size="sm"
        className="w-22"
        boxClass="text-right"
        placeholder={name}
        value={ask.of(field)}
        set={(value) => ask.put({ [field]: value })}
      />
      {unit}
    </span>
  );
}

/** One thing that narrows the list. */
export const Part = ({ name, children }: { name: string; children: ReactNode }) => (
  <FieldSet legend={name} className="border-line gap-px border-t pt-1.5 pb-2 [&_label]:flex [&_label]:grow">
    {children}
  </FieldSet>
);

/** One of a few. */
export function Choice({
  ask,
  field,
  name,
  options,
}: {
  ask: Ask;
  field: FieldName;
  name: string;
  options: [string, string, number?][];
}) {
  return (
    <Part name={name}>
      <Radios
        label={name}
        className="flex-col"
        value={ask.of(field)}
        set={(value) => ask.put({ [field]: value })}
        options={options.map(([value, label, n]) => ({
          value,
          label: (
            <span className="flex w-full">
              {label} {n !== undefined && <span className="text-soft ml-auto">{n}</span>}
            </span>
          ),
        }))}
      />
    </Part>
  );
}

/** Any of several; the first few are in sight. */
export function Ticks({
  name,
  values,
  on,
  toggle,
}: {
  name: string;
  values: Api<'FacetValue'>[];
  on: string[];
  toggle: (value: string) => void;
}) {
  const shown = [
    ...values,
    ...on.filter((v) => !values.some((x) => x.value === v)).map((value) => ({ value, count: 0 })),
  ];
  const lines: ReactNode[] = shown.map((v) => (
    <Checkbox key={v.value} checked={on.includes(v.value)} set={() => toggle(v.value)}>
      {v.value} <span className="text-soft ml-auto">{v.count}</span>
    </Checkbox>
  ));
  return (
    <Part name={name}>
      {lines.slice(0, 8)}
      {lines.length > 8 && (
        <details open={on.length > 0}>
          <summary className="text-soft min-h-6 cursor-pointer leading-6">
            {t('{{count}} more', { count: lines.length - 8 })}
          </summary>
          {lines.slice(8)}
        </details>
      )}
    </Part>
  );
}
