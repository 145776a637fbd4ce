import { CaretDown, Check } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { DropdownMenu } from 'radix-ui';
import type { ComponentProps, ReactNode } from 'react';
import { Button, type ButtonLook } from './Button';

const panel = 'z-40 min-w-50 rounded-md border border-ink bg-paper p-1 shadow-lift';
const item =
  'flex min-h-8 w-full cursor-pointer items-center justify-between gap-4 rounded-sm px-2.5 py-1.5 text-left ' +
  'no-underline outline-none data-disabled:cursor-default data-disabled:text-soft data-highlighted:bg-tint';

type Props = ButtonLook & {
  label: ReactNode;
  /** Read out before the label. */
  hidden?: string;
  icon?: ReactNode;
  align?: 'start' | 'end';
  className?: string;
  disabled?: boolean;
  /** An icon says it all: the label is read out. */
  iconOnly?: boolean;
  children: ReactNode;
};

/** A button that opens a menu under it. */
export function Menu({ label, hidden, icon, align = 'end', iconOnly, children, ...button }: Props) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <Button {...button} square={iconOnly}>
          {icon}
          {hidden && <span className="sr-only">{hidden}</span>}
          {iconOnly ? <span className="sr-only">{label}</span> : label}
          {!iconOnly && <CaretDown size={16} aria-hidden />}
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className={panel} align={align} sideOffset={4}>
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** One thing a menu can do; a link where it leads somewhere. */
export const MenuItem = ({ className, ...rest }: ComponentProps<typeof DropdownMenu.Item>) => (
  <DropdownMenu.Item className={cx(item, className)} {...rest} />
);

/** Something a menu says and that cannot be chosen. */
export const MenuLabel = ({ children }: { children: ReactNode }) => (
  <DropdownMenu.Label className="text-soft px-2.5 py-1.5 text-sm">{children}</DropdownMenu.Label>
);

export const MenuLine = () => <DropdownMenu.Separator className="border-line my-1 border-t" />;

/** Something a menu shows or hides; the menu stays open. */
export function MenuCheck({
  checked,
  set,
  children,
}: {
  checked: boolean;
  set: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <DropdownMenu.CheckboxItem
      className={item}
      checked={checked}
      onCheckedChange={set}
      onSelect={(e) => e.preventDefault()}
    >
      {children}
      <DropdownMenu.ItemIndicator>
        <Check size={16} aria-hidden />
      </DropdownMenu.ItemIndicator>
    </DropdownMenu.CheckboxItem>
  );
}
