import { cva, cx, type VariantProps } from 'class-variance-authority';
import type { ComponentProps, ReactNode } from 'react';
import { useTitle } from './useTitle';

/** A place's head: its name, its views, what narrows it, and at the right what can be done. */
export function PageHead({
  title,
  named,
  back,
  beside,
  children,
}: {
  title: ReactNode;
  /** What the window is called, where the title is more than words. */
  named?: string;
  back?: ReactNode;
  /** What stands beside the title: views of the place, what narrows it. */
  beside?: ReactNode;
  /** What can be done. */
  children?: ReactNode;
}) {
  useTitle(named ?? (typeof title === 'string' ? title : undefined));
  return (
    <header className="flex min-h-13 shrink-0 flex-wrap items-center gap-2.5 px-4 py-1.5">
      {back}
      <h1 id="title" tabIndex={-1} className="mr-1.5">
        {title}
      </h1>
      <div className="contents print:hidden">{beside}</div>
      <span className="grow" />
      <div className="contents print:hidden">{children}</div>
    </header>
  );
}

/** A page whose list fills it: the head stays, the list scrolls, the foot says how many. */
export function ListPage({ className, ...rest }: ComponentProps<'section'>) {
  return <section aria-labelledby="title" className={cx('flex min-h-0 min-w-0 flex-col', className)} {...rest} />;
}

/** A page that scrolls whole. */
export function ScrollPage({ className, ...rest }: ComponentProps<'section'>) {
  return <section aria-labelledby="title" className={cx('min-h-0 overflow-auto pb-6', className)} {...rest} />;
}

const notice = cva('border-y px-4 py-2', {
  variants: {
    kind: { note: 'border-line bg-sand', action: 'border-overlay bg-tint', plain: 'border-transparent' },
    row: { true: 'flex flex-wrap items-center gap-2', false: '' },
  },
  defaultVariants: { kind: 'note', row: false },
});

/** A strip across a page: what one should know, or what is picked up and can be done with it. */
export const Notice = ({ kind, row, className, ...rest }: ComponentProps<'div'> & VariantProps<typeof notice>) => (
  <div role={rest['aria-label'] ? 'region' : undefined} className={cx(notice({ kind, row }), className)} {...rest} />
);

/** A few related things on a page of settings. */
export function Card({ wide = false, className, ...rest }: ComponentProps<'section'> & { wide?: boolean }) {
  return (
    <section
      className={cx(
        'border-line bg-paper grid content-start gap-2.5 rounded-md border px-4.5 pt-3.5 pb-4',
        wide && 'col-span-full',
        className,
      )}
      {...rest}
    />
  );
}

export const Cards = ({ className, ...rest }: ComponentProps<'div'>) => (
  <div
    className={cx(
      'grid grid-cols-[repeat(auto-fit,minmax(min(380px,100%),1fr))] items-start gap-4 px-4 pt-1 pb-4',
      className,
    )}
    {...rest}
  />
);

const row = cva('flex flex-wrap items-center gap-2', { variants: { end: { true: 'justify-end', false: '' } } });

/** Things side by side that wrap where there is no room. */
export const Row = ({ end, className, ...rest }: ComponentProps<'div'> & VariantProps<typeof row>) => (
  <div className={cx(row({ end }), className)} {...rest} />
);

/** What stands at the side of a page and narrows it. */
export const SidePanel = ({ className, ...rest }: ComponentProps<'aside'>) => (
  <aside
    className={cx('border-ink bg-sand flex min-h-0 flex-col overflow-auto max-lg:border-t lg:border-l', className)}
    {...rest}
  />
);
