import { cva } from 'class-variance-authority';
import { ToggleGroup } from 'radix-ui';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';

// The lines between are the frame's own colour, so that they are there, too, where segments stand in two rows.
const frame = 'inline-flex max-w-full flex-wrap gap-px overflow-clip rounded-md border border-soft bg-soft';
const segment = cva(
  'inline-flex grow items-center justify-center gap-1.5 bg-paper whitespace-nowrap no-underline ' +
    'hover:bg-depth-1 focus-visible:-outline-offset-2 ' +
    'data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-paper ' +
    'aria-[current=page]:bg-ink aria-[current=page]:font-semibold aria-[current=page]:text-paper',
  {
    variants: { size: { md: 'h-7.5 px-2.75', sm: 'h-6.5 px-2 text-sm', reader: 'h-10.5 px-3 text-reader' } },
    defaultVariants: { size: 'md' },
  },
);

type Size = 'md' | 'sm' | 'reader';
type Of<V extends string> = { value: V; label: ReactNode; name?: string; disabled?: boolean };

/** One of a few ways to see the same thing; the one in use is dark. */
export function Segments<V extends string>({
  label,
  value,
  options,
  set,
  unset,
  size,
}: {
  label: string;
  value: V | undefined;
  options: readonly Of<V>[];
  set: (value: V) => void;
  /** Called where the one in use is chosen again; without it, one is always in use. */
  unset?: () => void;
  size?: Size;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value ?? ''}
      onValueChange={(next) => {
        if (next) set(next as V);
        else unset?.();
      }}
      className={frame}
    >
      {options.map((o) => (
        <ToggleGroup.Item
          key={o.value}
          value={o.value}
          aria-label={o.name}
          disabled={o.disabled}
          className={segment({ size })}
        >
          {o.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** The views of a place, each with an address of its own. */
export function SegmentLinks({
  label,
  links,
}: {
  label: string;
  /** `soon` is called when somebody is about to go there. */
  links: readonly { to: string; name: ReactNode; end?: boolean; soon?: () => void }[];
}) {
  return (
    <nav aria-label={label} className={frame}>
      {links.map((l) => (
        <NavLink
          key={l.to}
          to={l.to}
          end={l.end ?? true}
          className={segment()}
          onPointerEnter={l.soon}
          onFocus={l.soon}
        >
          {l.name}
        </NavLink>
      ))}
    </nav>
  );
}
