import { CaretDown, Check } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { Select as Radix } from 'radix-ui';
import { Field, type FieldProps } from './Field';

export type Option<V extends string | number> = { value: V; label: string | number; disabled?: boolean };

type Props<V extends string | number> = FieldProps & {
  value: V;
  options: readonly Option<V>[];
  set: (value: V) => void;
  size?: 'md' | 'sm' | 'reader';
  disabled?: boolean;
  boxClass?: string;
};

const sizes = { md: 'h-8 px-2.5', sm: 'h-7 px-2 text-sm', reader: 'h-11 px-3 text-reader' };
// A choice may be "none", and Radix wants a value for each.
const none = '\u0000';
const out = (value: string | number) => (value === '' ? none : String(value));

/** One of several, chosen from a list that opens. */
export function Select<V extends string | number>({
  value,
  options,
  set,
  size = 'md',
  disabled,
  boxClass,
  ...field
}: Props<V>) {
  return (
    <Field {...field}>
      {(tied) => (
        <Radix.Root
          value={out(value)}
          onValueChange={(next) => {
            const chosen = options.find((o) => out(o.value) === next);
            if (chosen) set(chosen.value);
          }}
          disabled={disabled}
        >
          <Radix.Trigger
            {...tied}
            className={cx(
              'border-soft bg-paper inline-flex w-full items-center justify-between gap-2 rounded-md border text-left',
              'disabled:border-line disabled:text-soft aria-invalid:border-overlay aria-invalid:border-2',
              sizes[size],
              boxClass,
            )}
          >
            <span className="truncate">
              <Radix.Value />
            </span>
            <CaretDown size={14} aria-hidden />
          </Radix.Trigger>
          <Radix.Portal>
            <Radix.Content
              position="popper"
              sideOffset={4}
              className={cx(
                'z-40 max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width)',
                'border-ink bg-paper shadow-lift overflow-hidden rounded-md border p-1',
              )}
            >
              <Radix.Viewport>
                {options.map((o) => (
                  <Radix.Item
                    key={o.value}
                    value={out(o.value)}
                    disabled={o.disabled}
                    className={cx(
                      'flex min-h-8 cursor-pointer items-center justify-between gap-4 rounded-sm px-2.5 outline-none',
                      'data-disabled:text-soft data-highlighted:bg-tint',
                      size === 'reader' && 'text-reader min-h-11',
                    )}
                  >
                    <Radix.ItemText>{o.label}</Radix.ItemText>
                    <Radix.ItemIndicator>
                      <Check size={16} aria-hidden />
                    </Radix.ItemIndicator>
                  </Radix.Item>
                ))}
              </Radix.Viewport>
            </Radix.Content>
          </Radix.Portal>
        </Radix.Root>
      )}
    </Field>
  );
}
