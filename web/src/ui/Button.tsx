import { cx, type VariantProps } from 'class-variance-authority';
import { Slot } from 'radix-ui';
import type { ComponentProps } from 'react';
import { button } from './looks';

type Variants = VariantProps<typeof button>;
/** How a button looks; that it is pressed is said by `aria-pressed`. */
export type ButtonLook = Omit<Variants, 'look'> & { look?: Exclude<Variants['look'], 'pressed' | null> };
export type ButtonProps = ComponentProps<'button'> & ButtonLook & { asChild?: boolean };

/** A button. It sends a form only where it says so; as the frame of a link, the link is its child. */
export function Button({ look, size, square, asChild = false, className, type = 'button', ...rest }: ButtonProps) {
  const own = {
    'data-look': look ?? 'outline',
    'data-size': size ?? 'md',
    className: cx(button({ look: rest['aria-pressed'] === true ? 'pressed' : look, size, square }), className),
  };
  return asChild ? <Slot.Root {...own} {...rest} /> : <button type={type} {...own} {...rest} />;
}

/** A button in running text, which looks as a link does. */
export function TextButton({ className, type = 'button', ...rest }: ComponentProps<'button'>) {
  return (
    <button
      type={type}
      className={cx('decoration-depth-5 hover:decoration-overlay min-h-6 underline underline-offset-3', className)}
      {...rest}
    />
  );
}
