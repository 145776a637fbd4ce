import { CaretDown } from '@phosphor-icons/react';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

type Props = {
  label: string;
  icon?: ReactNode;
  hidden?: string;
  main?: boolean;
  plain?: boolean;
  className?: string;
  children: ReactNode;
};

/** A button that opens a menu under it. */
export function Menu({ label, icon, hidden, main = false, plain = false, className = '', children }: Props) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className={`btn ${main ? 'main' : plain ? 'plain' : ''} ${className}`}>
        {icon}
        {hidden && <span className="hide">{hidden}</span>}
        {label} <CaretDown size={16} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="menu" align={plain ? 'start' : 'end'} sideOffset={4}>
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
