import { MagnifyingGlass } from '@phosphor-icons/react';
import { cva, cx } from 'class-variance-authority';
import { useState, type ComponentProps } from 'react';
import { Field, type FieldProps, type Tied } from './Field';

/** A field's frame. */
export const textBox = cva(
  'w-full rounded-md border border-soft bg-paper disabled:border-line disabled:text-soft ' +
    'aria-invalid:border-2 aria-invalid:border-overlay',
  {
    variants: {
      size: { md: 'h-8 px-2.5', sm: 'h-7 px-2 text-sm', reader: 'h-11 px-3 text-reader' },
    },
    defaultVariants: { size: 'md' },
  },
);

type Size = 'md' | 'sm' | 'reader';
type Own = FieldProps & { size?: Size; boxClass?: string; set?: (value: string) => void };
type Input = Omit<ComponentProps<'input'>, 'size' | 'className'>;

function Text({ label, hint, error, bare, inline, className, size, boxClass, set, ...input }: Own & Input) {
  return (
    <Field {...{ label, hint, error, bare, inline, className }}>
      {(tied) => (
        <input
          {...input}
          {...tied}
          className={cx(textBox({ size }), boxClass)}
          onChange={set ? (e) => set(e.target.value) : input.onChange}
        />
      )}
    </Field>
  );
}

/** A line of text. */
export const TextField = (props: Own & Input) => <Text type="text" {...props} />;

export const PasswordField = (props: Own & Input) => <Text {...props} type="password" />;

type NumberProps = Omit<Own, 'set'> &
  Omit<Input, 'value'> & {
    value: number | null;
    set: (value: number) => void;
    /** Called where the field is emptied; without it, an emptied field gets its number back when it is left. */
    unset?: () => void;
  };

/** A number. What is typed stays as it is typed until the field is left. */
export function NumberField({ value, set, unset, boxClass, ...props }: NumberProps) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Text
      {...props}
      type="number"
      boxClass={cx('max-w-24', boxClass)}
      value={typed ?? value ?? ''}
      set={(text) => {
        setTyped(text);
        if (text.trim() === '') unset?.();
        else if (!Number.isNaN(Number(text))) set(Number(text));
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

/** Looks for something in what is on the page; its label is read out, its placeholder says what it looks at. */
export function SearchField({ label, boxClass, set, className, ...input }: Omit<Own, 'size' | 'inline'> & Input) {
  return (
    <Field label={label} bare className={cx('relative', className)}>
      {(tied) => (
        <>
          <MagnifyingGlass size={16} aria-hidden className="pointer-events-none absolute top-2 left-2.5" />
          <input
            {...input}
            {...tied}
            type="search"
            className={cx(textBox({ size: 'md' }), 'pl-8', boxClass)}
            onChange={set ? (e) => set(e.target.value) : input.onChange}
          />
        </>
      )}
    </Field>
  );
}

type AreaProps = Own & Omit<ComponentProps<'textarea'>, 'className'>;

/** Text of several lines. */
export function TextArea({ label, hint, error, bare, inline, className, size, boxClass, set, ...area }: AreaProps) {
  return (
    <Field {...{ label, hint, error, bare, inline, className }}>
      {(tied: Tied) => (
        <textarea
          {...area}
          {...tied}
          className={cx(
            'border-soft bg-paper disabled:text-soft w-full resize-y rounded-md border px-2.5 py-2',
            'aria-invalid:border-overlay aria-invalid:border-2',
            size === 'reader' && 'text-reader',
            boxClass,
          )}
          onChange={set ? (e) => set(e.target.value) : area.onChange}
        />
      )}
    </Field>
  );
}
