import { Check, Minus } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { Checkbox as Radix, RadioGroup, Switch as RadixSwitch } from 'radix-ui';
import { useId, useRef, type FocusEvent, type KeyboardEvent, type MouseEvent, type ReactNode } from 'react';

// What is tapped is larger than what is seen.
const target = 'group/mark inline-grid size-6 flex-none place-content-center';
const box =
  'grid size-4 place-content-center border-[1.5px] border-soft bg-paper group-disabled/mark:border-line ' +
  'group-data-[state=checked]/mark:border-overlay';
const square =
  'rounded-sm text-paper group-data-[state=checked]/mark:bg-overlay ' +
  'group-data-[state=indeterminate]/mark:border-overlay ' +
  'group-data-[state=indeterminate]/mark:bg-overlay';

type BoxProps = {
  checked: boolean | 'indeterminate';
  set: (checked: boolean, range: boolean) => void;
  disabled?: boolean;
};

const tick = ({ checked, set, disabled }: BoxProps) => ({
  checked,
  disabled,
  onClick: (e: MouseEvent) => {
    e.stopPropagation();
    set(checked !== true, e.shiftKey);
  },
  className: target,
});

const mark = (checked: BoxProps['checked']) => (
  <span className={cx(box, square)}>
    <Radix.Indicator>
      {checked === 'indeterminate' ? (
        <Minus size={12} weight="bold" aria-hidden />
      ) : (
        <Check size={12} weight="bold" aria-hidden />
      )}
    </Radix.Indicator>
  </span>
);

/** Something that is so or not, with its words beside it. */
export function Checkbox({ children, className, ...props }: BoxProps & { children: ReactNode; className?: string }) {
  const id = useId();
  return (
    <span className={cx('-ml-1 inline-flex min-h-6 items-center gap-1', className)}>
      <Radix.Root id={id} {...tick(props)}>
        {mark(props.checked)}
      </Radix.Root>
      <label htmlFor={id}>{children}</label>
    </span>
  );
}

/** A row's box: its name is read out. The whole cell can be tapped. */
export function RowTick({ label, ...props }: BoxProps & { label: string }) {
  return (
    <Radix.Root aria-label={label} {...tick(props)}>
      {mark(props.checked)}
    </Radix.Root>
  );
}

/** Something that is on or off from now on. */
export function Switch({
  checked,
  set,
  disabled,
  children,
}: {
  checked: boolean;
  set: (on: boolean) => void;
  disabled?: boolean;
  children: ReactNode;
}) {
  const id = useId();
  return (
    <span className="inline-flex min-h-6 items-center gap-2">
      <RadixSwitch.Root
        id={id}
        checked={checked}
        onCheckedChange={set}
        disabled={disabled}
        className={cx(
          'border-ink bg-paper inline-flex h-5 w-9 items-center rounded-full border px-0.5',
          'data-[state=checked]:bg-overlay data-[state=checked]:border-overlay disabled:border-line',
        )}
      >
        <RadixSwitch.Thumb
          className={cx(
            'bg-ink data-[state=checked]:bg-paper size-3.5 rounded-full',
            'data-[state=checked]:translate-x-4',
          )}
        />
      </RadixSwitch.Root>
      <label htmlFor={id}>{children}</label>
    </span>
  );
}

const dot = (
  <span className={cx(box, 'rounded-full')}>
    <RadioGroup.Indicator className="bg-overlay size-2 rounded-full" />
  </span>
);

/**
 * An arrow marks what it leads to, even where the key is up again before the focus has moved: the group below asks
 * whether the key is still down, and on a slow machine it no longer is.
 */
function useArrows(set: (value: string) => void) {
  const moving = useRef(false);
  return {
    onKeyDownCapture: (e: KeyboardEvent) => {
      moving.current = e.key.startsWith('Arrow');
    },
    onPointerDownCapture: () => {
      moving.current = false;
    },
    onFocus: (e: FocusEvent<HTMLElement>) => {
      if (moving.current && e.target !== e.currentTarget) e.target.click();
    },
    onValueChange: (next: string) => {
      moving.current = false;
      set(next);
    },
  };
}

/** One of a few, all in sight. */
export function Radios<V extends string>({
  label,
  value,
  options,
  set,
  className,
}: {
  label: string;
  value: V | undefined;
  options: readonly { value: V; label: ReactNode; disabled?: boolean }[];
  set: (value: V) => void;
  className?: string;
}) {
  const id = useId();
  const arrows = useArrows((next) => set(next as V));
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value ?? null}
      {...arrows}
      className={cx('flex flex-wrap gap-x-4 gap-y-1', className)}
    >
      {options.map((o) => (
        <span key={o.value} className="-ml-1 inline-flex min-h-6 items-center gap-1">
          <RadioGroup.Item id={`${id}-${o.value}`} value={o.value} disabled={o.disabled} className={target}>
            {dot}
          </RadioGroup.Item>
          <label htmlFor={`${id}-${o.value}`}>{o.label}</label>
        </span>
      ))}
    </RadioGroup.Root>
  );
}

/** Rows of which one is marked: `RadioMark` stands in each. */
export function RadioRows({
  label,
  value,
  set,
  children,
}: {
  label: string;
  value: string | undefined;
  set: (value: string) => void;
  children: ReactNode;
}) {
  const arrows = useArrows(set);
  return (
    <RadioGroup.Root aria-label={label} value={value ?? null} {...arrows} className="grid gap-1.5">
      {children}
    </RadioGroup.Root>
  );
}

/** The mark of one row of `RadioRows`. */
export const RadioMark = ({ label, value }: { label: string; value: string }) => (
  <RadioGroup.Item aria-label={label} value={value} className={cx(box, 'rounded-full')}>
    <RadioGroup.Indicator className="bg-overlay size-2 rounded-full" />
  </RadioGroup.Item>
);
