import { cx } from 'class-variance-authority';
import type { ComponentProps, ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import type { Fields } from '../shared/forms';
import { Button } from './Button';
import { DialogFoot } from './Dialog';
import { ErrorText } from './Field';
import { t } from '../shared/words';

type Of<F extends FieldValues> = { of: Fields<F> };

/** A form's fields, one under the other. */
export const Form = <F extends FieldValues>({ of, className, ...rest }: Of<F> & ComponentProps<'form'>) => (
  <form noValidate className={cx('grid gap-3', className)} {...rest} onSubmit={of.submit} />
);

/** What is wrong with none of a form's fields. */
export const FormFault = <F extends FieldValues>({ of, children }: Of<F> & { children?: ReactNode }) =>
  of.fault ? (
    <ErrorText>
      {of.fault} {children}
    </ErrorText>
  ) : null;

/** The button that sends a form. It keeps the focus while it sends, and does not send twice. */
export const Submit = <F extends FieldValues>({ of, ...rest }: Of<F> & ComponentProps<typeof Button>) => (
  <Button look="main" type="submit" aria-busy={of.busy} {...rest} />
);

/** The foot of a window that is a form. */
export const FormFoot = <F extends FieldValues>({
  of,
  close,
  disabled,
  children,
}: Of<F> & { close: () => void; disabled?: boolean; children: ReactNode }) => (
  <>
    <FormFault of={of} />
    <DialogFoot>
      <Button onClick={close}>{t('Cancel')}</Button>
      <Submit of={of} disabled={disabled}>
        {children}
      </Submit>
    </DialogFoot>
  </>
);
