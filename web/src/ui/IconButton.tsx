import type { ReactNode } from 'react';
import { Button, type ButtonProps } from './Button';
import { Tip } from './Tip';

type IconProps = Omit<ButtonProps, 'children' | 'aria-label' | 'square'> & { label: string; children: ReactNode };

/** A button that shows an icon only: what it does is its name, and is said when it is pointed at. */
export function IconButton({ label, children, ...rest }: IconProps) {
  return (
    <Tip text={label}>
      <Button square aria-label={label} {...rest}>
        {children}
      </Button>
    </Tip>
  );
}
