import { cx } from 'class-variance-authority';
import type { ComponentProps } from 'react';

type Props = Omit<ComponentProps<'input'>, 'className' | 'onChange'> & {
  label: string;
  set: (value: string) => void;
  /** Something in the cell is wrong, or asks for a look. */
  wrong?: boolean;
};

/** A cell that is typed into: it fills its cell and has no frame of its own. */
export const CellField = ({ label, set, wrong, ...input }: Props) => (
  <input
    type="text"
    {...input}
    aria-label={label}
    onChange={(e) => set(e.target.value)}
    className={cx(
      'h-8.25 w-full px-2 focus-visible:-outline-offset-2',
      wrong && 'shadow-[inset_0_-3px_var(--color-buoy)]',
    )}
  />
);
