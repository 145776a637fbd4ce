import { cva, cx, type VariantProps } from 'class-variance-authority';
import { Slot } from 'radix-ui';
import type { ComponentProps } from 'react';

const button = cva(
  'inline-flex items-center justify-center gap-1.5 rounded-md border whitespace-nowrap no-underline ' +
    'disabled:border-line disabled:bg-paper disabled:text-soft',
  {
    variants: {
      look: {
        outline: 'border-soft bg-paper font-medium enabled:hover:bg-depth-1 [a&]:hover:bg-depth-1',
        main:
          'border-overlay bg-overlay font-semibold text-paper enabled:hover:bg-overlay-dark ' +
          '[a&]:hover:bg-overlay-dark ' +
          'disabled:border-dashed disabled:border-soft',
        plain: 'border-transparent font-medium enabled:hover:bg-ink/7 [a&]:hover:bg-ink/7 disabled:border-transparent',
        danger: 'border-ink border-dashed bg-paper font-medium enabled:hover:bg-sand',
        pressed: 'border-ink bg-ink font-semibold text-paper',
      },
      size: {
        md: 'h-8 px-3 text-base leading-4.5',
        sm: 'h-7 px-2.5 text-sm',
        reader: 'min-h-11 gap-2 border-[1.5px] px-3.5 text-reader leading-6',
        foot: 'min-h-13 min-w-37 gap-2 border-[1.5px] px-3.5 text-reader leading-6',
      },
      square: { true: 'px-0', false: '' },
    },
    compoundVariants: [
      { square: true, size: 'md', class: 'w-8' },
      { square: true, size: 'sm', class: 'w-7' },
      { square: true, size: 'reader', class: 'w-11 rounded-full' },
      { square: true, size: 'foot', class: 'w-13 min-w-0 rounded-full' },
    ],
    defaultVariants: { look: 'outline', size: 'md' },
  },
);

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
