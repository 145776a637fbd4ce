import { cva, cx, type VariantProps } from 'class-variance-authority';
import { useId, type ComponentProps } from 'react';
import { bigField, readerLetters } from './looks';

/** The reader's screens: no letter below 18 px, no target below 44 px. A page is an island, and its waterlines fade. */

/** A page that scrolls whole, such as home. */
export const ReaderPage = ({ className, ...rest }: ComponentProps<'div'>) => (
  <div className={cx('bg-depth-2 min-h-screen', readerLetters, className)} {...rest} />
);

/** A page between its bar and its foot: reading, answering. */
export const ReaderSide = ({ footless = false, ...rest }: ComponentProps<'div'> & { footless?: boolean }) => (
  <div
    className={cx(
      readerLetters,
      'bg-depth-2 grid h-screen min-h-150 max-md:h-auto max-md:min-h-screen',
      footless
        ? 'grid-rows-[64px_minmax(0,1fr)] max-md:grid-rows-[auto_1fr]'
        : 'grid-rows-[64px_minmax(0,1fr)_76px] max-md:grid-rows-[auto_1fr_auto]',
    )}
    {...rest}
  />
);

export const ReaderBar = ({ className, ...rest }: ComponentProps<'header'>) => (
  <header
    className={cx(
      'border-ink bg-paper z-4 flex min-h-16 items-center gap-3 border-b px-5 max-md:flex-wrap ' +
        'max-md:py-2 [&_h1]:ml-2',
      className,
    )}
    {...rest}
  />
);

export const ReaderFoot = (props: ComponentProps<'footer'>) => (
  <footer
    className={
      'border-ink bg-paper z-4 flex items-center justify-between gap-3 border-t px-5 ' +
      'has-[audio]:flex-wrap has-[audio]:py-2.5 max-md:flex-wrap max-md:py-2 ' +
      '[&_[data-size]]:min-h-13 [&_a]:min-h-13 [&>[data-size]]:min-w-37'
    }
    {...props}
  />
);

/** The sea a page lies in; with the text pulled out beside the question it makes room. */
export const Water = ({ peeking = false, ...rest }: ComponentProps<'main'> & { peeking?: boolean }) => (
  <main
    data-peeking={peeking ? '' : undefined}
    className={cx(
      'group/water relative grid min-h-0 items-center-safe justify-start overflow-auto py-18',
      'max-md:flex max-md:flex-col max-md:items-center max-md:gap-6 max-md:px-5 max-md:py-10',
      peeking ? 'pl-32.5' : 'pl-54',
    )}
    {...rest}
  />
);

/** A page of a text, a question, a door of a check: an island in the water. */
export const pageLook = cva(
  'relative rounded-xl border-[1.5px] border-ink outline-none ' +
    '[&_p]:relative [&_p]:z-1 ' +
    'max-md:w-[min(720px,100%)] max-sm:px-5.5 max-sm:py-6',
  {
    variants: {
      kind: {
        text:
          'w-175 max-w-[calc(100vw-48px)] px-11 pt-7.5 pb-8 text-[22px] leading-[37px] ' +
          'group-data-[size=1]/size:text-[26px] group-data-[size=1]/size:leading-[44px] ' +
          'group-data-[size=2]/size:text-[31px] group-data-[size=2]/size:leading-[52px] ' +
          '[&_h2]:[font-family:inherit] [&_h2]:text-[1.05em] [&_h2]:leading-normal [&_h2]:font-bold ' +
          '[&_p+h2]:mt-[0.7em] [&_p+p]:mt-[0.62em] ' +
          '[&_h3]:mt-[0.6em] [&_h3]:text-[1em] [&_h3]:leading-[inherit]',
        question:
          'w-180 px-9 pt-6.5 pb-7 text-xl leading-7.5 group-data-peeking/water:w-[min(720px,calc(100vw-856px))] ' +
          'group-data-peeking/water:min-w-95 max-md:group-data-peeking/water:w-[min(720px,100%)] ' +
          'group-data-[size=1]/size:text-[26px] group-data-[size=1]/size:leading-[44px] ' +
          'group-data-[size=2]/size:text-[31px] group-data-[size=2]/size:leading-[52px] ' +
          '[&_h2]:[font-family:inherit] [&_h2]:text-[25px] [&_h2]:leading-9 [&_h2]:font-bold [&_h2]:text-pretty',
        aside: 'px-5.5 pt-4.5 pb-5 text-xl leading-7.5 border-dashed [&_h2]:text-xl ' + '[&_h2]:font-bold',
        door:
          'grid w-180 gap-4 px-11 pt-7.5 pb-8 font-ui text-xl leading-7.5 [&_h2]:text-[26px] [&_h2]:leading-9 ' +
          'group-data-[size=1]/size:text-[26px] group-data-[size=1]/size:leading-[44px] ' +
          'group-data-[size=2]/size:text-[31px] group-data-[size=2]/size:leading-[52px]',
        maze: 'w-200 px-11 pt-7.5 pb-8 text-[22px] leading-[37px] [&_h2]:mb-3',
      },
      water: {
        paper: 'bg-paper shadow-island',
        sea: 'bg-[#eaf4f5] shadow-island',
        sand: 'bg-[#f6eedb] shadow-island',
        plain: 'bg-[#fff] shadow-island',
        aside: 'bg-depth-1',
      },
      letters: { first: 'font-first', serif: 'font-serif', ui: '' },
    },
    defaultVariants: { letters: 'first', water: 'paper' },
  },
);
export type PageLook = VariantProps<typeof pageLook>;

/** The text as a second sheet under the question; its edge is always in sight. */
export const textSheet = cva(
  'z-3 rounded-l-xl border-[1.5px] border-ink bg-paper font-first text-xl leading-8.5 ' +
    'transition-[right] duration-200 ' +
    'md:absolute md:top-8.5 md:bottom-8.5 md:w-155 md:pt-6.5 md:pr-10 md:pl-14.5 md:shadow-islet ' +
    'max-md:relative max-md:order-3 max-md:w-[min(720px,100%)] max-md:rounded-r-xl ' +
    '[&>div]:h-full [&>div]:overflow-auto max-md:[&>div]:px-7.5 max-md:[&>div]:pb-6 ' +
    '[&_h2]:mt-[0.6em] [&_h2]:text-xl [&_p+p]:mt-[0.5em]',
  {
    variants: {
      open: { true: 'md:right-0', false: 'md:-right-90 [&>div]:pointer-events-none max-md:[&>div]:hidden' },
    },
  },
);
export const sheetPull =
  'flex items-center justify-center gap-2.5 border-ink bg-paper text-reader font-semibold hover:bg-depth-1 ' +
  'md:absolute md:top-1/2 md:-left-7 md:w-14 md:-translate-y-1/2 md:rounded-lg md:border-2 ' +
  'md:min-h-50 md:py-4.5 md:[writing-mode:vertical-rl] ' +
  'max-md:w-full max-md:rounded-xl max-md:p-3';

/** What is said to a reader who did something: large, and read out. */
export const Say = ({ className, ...rest }: ComponentProps<'p'>) => (
  <p className={cx('text-reader min-h-6.5 font-semibold', className)} {...rest} />
);

/** A mark large enough for small hands: its label is what is tapped. */
export const BigMark = ({ several = false, ...rest }: ComponentProps<'input'> & { several?: boolean }) => (
  <input
    type={several ? 'checkbox' : 'radio'}
    className={cx(
      'border-ink bg-paper checked:border-overlay size-6.5 flex-none appearance-none border-2 checked:border-8',
      several ? 'rounded-md' : 'rounded-full',
    )}
    {...rest}
  />
);

/** A field a reader types their name, code or secret into. Where the page's title asks for it, its label is only read out. */
export function BigField({
  label,
  bare = false,
  kind,
  set,
  className,
  ...rest
}: Omit<ComponentProps<'input'>, 'id' | 'onChange'> &
  VariantProps<typeof bigField> & { label: string; bare?: boolean; set: (value: string) => void }) {
  const id = useId();
  return (
    <>
      <label className={bare ? 'sr-only' : undefined} htmlFor={id}>
        {label}
      </label>
      <input
        type="text"
        autoComplete="off"
        {...rest}
        id={id}
        className={cx(bigField({ kind }), className)}
        onChange={(e) => set(e.target.value)}
      />
    </>
  );
}

/** One of several words or sentences in running text: what is tapped is the words themselves. */
export const InText = ({ className, children, ...rest }: ComponentProps<'input'>) => (
  <label className={className}>
    <input type="radio" className="sr-only" {...rest} />
    {children}
  </label>
);

/** A tile to tap: a face, a picture. */
export const tile =
  'grid w-full justify-items-center gap-1 rounded-lg border-[1.5px] border-soft bg-paper px-1.5 ' +
  'py-2.5 text-reader font-semibold ' +
  'text-balance hover:bg-depth-1 hover:border-ink';

/** A text as a plate, large enough to tap. */
export const bigPlate =
  'grid min-h-11 rounded-r-md border border-l-4 border-soft border-l-ink ' +
  '[border-left-style:double] bg-paper px-4 py-2.5 no-underline hover:bg-depth-1';

/** What a teacher wrote to go with something. */
export const Directions = (props: ComponentProps<'p'>) => (
  <p className="border-ink bg-sand border-l-4 border-double px-3.5 py-1.5" {...props} />
);

/** A reader's own words, as they were written. */
export const Written = (props: ComponentProps<'blockquote'>) => (
  <blockquote
    className="border-ink bg-sand border-l-4 border-double px-4 py-3 wrap-anywhere whitespace-pre-wrap"
    {...props}
  />
);

/** Something to tap that is one of several: an answer, a piece, a place to put it. */
export const tapLook = cva(
  'flex w-full items-center gap-4 rounded-md bg-paper px-4 py-2 text-left enabled:hover:bg-depth-1 ' +
    'disabled:text-ink',
  {
    variants: {
      mine: { true: 'border-[2.5px] border-overlay bg-tint', false: 'border-[1.5px] border-soft' },
      size: { row: 'min-h-15', piece: 'min-h-12 w-auto' },
    },
    defaultVariants: { mine: false, size: 'row' },
  },
);
