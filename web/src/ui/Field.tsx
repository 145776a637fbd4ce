import { cx } from 'class-variance-authority';
import { useId, type ReactNode } from 'react';

export type FieldProps = {
  label: string;
  hint?: ReactNode;
  error?: string;
  /** The label is read out and not shown: what stands around the field says it. */
  bare?: boolean;
  /** The label stands before the field and not over it. */
  inline?: boolean;
  className?: string;
};

/** What a control needs to belong to its label, hint and error. */
export type Tied = { id: string; 'aria-invalid'?: true; 'aria-describedby'?: string };

/** A label over its control, with a hint or what is wrong under it, tied together for everybody who listens. */
export function Field({
  label,
  hint,
  error,
  bare = false,
  inline = false,
  className,
  children,
}: FieldProps & { children: (tied: Tied) => ReactNode }) {
  const id = useId();
  const hinted = hint ? `${id}-hint` : undefined;
  const said = error ? `${id}-error` : hinted;
  return (
    <div className={cx(inline ? 'inline-flex items-center gap-1.5' : 'grid content-start gap-1', className)}>
      <label htmlFor={id} className={bare ? 'sr-only' : cx('text-sm', inline ? 'whitespace-nowrap' : 'font-semibold')}>
        {label}
      </label>
      {children({ id, 'aria-describedby': said, ...(error ? { 'aria-invalid': true } : {}) })}
      {hint && !error && (
        <p id={said} className="text-soft text-sm">
          {hint}
        </p>
      )}
      {error && <ErrorText id={said}>{error}</ErrorText>}
    </div>
  );
}

/** What is wrong, said as soon as it stands there. */
export function ErrorText({ id, className, children }: { id?: string; className?: string; children: ReactNode }) {
  return (
    <p id={id} className={cx('text-overlay text-sm font-semibold', className)} role="alert">
      {children}
    </p>
  );
}

/** Several fields side by side where there is room. */
export function FieldRow({ className, children }: { className?: string; children: ReactNode }) {
  return (
    <div className={cx('grid grid-cols-[repeat(auto-fit,minmax(150px,1fr))] items-start gap-3', className)}>
      {children}
    </div>
  );
}

/** Controls that belong together under one name. */
export function FieldSet({
  legend,
  framed = false,
  className,
  children,
}: {
  legend: string;
  framed?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <fieldset className={cx('grid gap-1.5', framed && 'border-line rounded-md border px-3 pt-1 pb-2.5', className)}>
      <legend className="px-1 text-sm font-semibold">{legend}</legend>
      {children}
    </fieldset>
  );
}
