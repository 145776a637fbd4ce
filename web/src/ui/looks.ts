import { cva } from 'class-variance-authority';

/** Looks that pieces of the kit share with what stands in for them before their script has come. */

export const button = cva(
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

/** A field a reader types their name, code or secret into. */
export const bigField = cva('rounded-md border-[1.5px] border-soft bg-paper px-3', {
  variants: {
    kind: {
      code: 'h-16 w-65 text-center text-[32px] font-bold tracking-[0.12em]',
      name: 'h-13 w-75 text-[22px] font-medium',
    },
  },
});

/** A small island: a door, a card of what is next. */
export const islandLook = cva(
  'rounded-xl border-[1.5px] border-ink bg-paper max-md:px-5 max-md:py-6 [&_h1]:text-[26px] [&_h1]:leading-9',
  {
    variants: {
      kind: {
        door: 'grid justify-items-center gap-4 px-12 py-8 shadow-island',
        wide: 'grid w-[min(920px,100%)] justify-items-center gap-4 px-12 py-8 shadow-island',
        next:
          'mx-5.5 mt-8.5 mb-11 grid justify-items-start gap-2.5 px-8 pt-6.5 pb-7.5 shadow-islet ' +
          '[&_h2]:text-2xl [&_h3]:text-2xl',
      },
    },
    defaultVariants: { kind: 'door' },
  },
);

/** Letters of a reader's screen: whatever a piece of the kit says of its own size, none is below 18 px. */
export const readerLetters =
  'text-reader [--text-sm:18px] [--text-sm--line-height:26px] [--text-base:18px] [--text-base--line-height:26px]';

/** The page a door lies on. */
export const doorPage = `${readerLetters} bg-depth-2 grid min-h-screen place-items-center px-6 py-12`;
