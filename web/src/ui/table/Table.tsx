import { cx } from 'class-variance-authority';
import type { ComponentProps, ReactNode, RefObject } from 'react';

const firstColumn =
  '[&_tr>:first-child]:border-r-line [&_tr>:first-child]:sticky [&_tr>:first-child]:left-0 ' +
  '[&_tr>:first-child]:border-r [&_tbody_tr>:first-child]:bg-paper [&_thead_tr>:first-child]:bg-sand';

/** A table's own scrolling region, which can be reached by keys. */
export function TableScroll({
  label,
  frame,
  pinned = false,
  className,
  children,
}: {
  label: string;
  frame?: RefObject<HTMLDivElement | null>;
  /** The first column stays in sight when the rest moves under it. */
  pinned?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <div
      ref={frame}
      role="region"
      aria-label={label}
      tabIndex={0}
      className={cx(
        'border-ink relative min-h-0 scroll-pt-10 overflow-auto border-t',
        pinned && firstColumn,
        className,
      )}
    >
      <Table>{children}</Table>
    </div>
  );
}

/** As wide as its place, or with `fit` as what stands in it. */
export const Table = ({ fit = false, className, ...rest }: ComponentProps<'table'> & { fit?: boolean }) => (
  <table className={cx('border-separate border-spacing-0', !fit && 'w-full', className)} {...rest} />
);

/** A head that stays in sight. */
export const TableHead = ({ className, ...rest }: ComponentProps<'thead'>) => (
  <thead className={cx('bg-sand [&>tr:last-child>*]:border-ink sticky top-0 z-1', className)} {...rest} />
);

export const TableBody = (props: ComponentProps<'tbody'>) => <tbody {...props} />;

type Cell = { num?: boolean; wrap?: boolean };
const cell = ({ num, wrap }: Cell) =>
  cx(
    'border-b border-line px-2 first:pl-4 last:pr-4',
    num ? 'text-right' : 'text-left',
    wrap ? 'h-8 py-1' : 'h-8 whitespace-nowrap',
  );

/** A heading: of a column in the head, of its row with scope="row". */
export const Th = ({ num, wrap, scope = 'col', className, ...rest }: ComponentProps<'th'> & Cell) => (
  <th
    scope={scope}
    className={cx(cell({ num, wrap }), scope === 'col' ? 'text-sm font-semibold' : 'font-medium', className)}
    {...rest}
  />
);

export const Td = ({ num, wrap, className, ...rest }: ComponentProps<'td'> & Cell) => (
  <td className={cx(cell({ num, wrap }), className)} {...rest} />
);
