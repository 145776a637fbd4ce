import { X } from '@phosphor-icons/react';
import { cva } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { Tip } from './Tip';

const flag = cva(
  'relative isolate inline-flex h-6.5 items-center gap-1 pr-3.75 pl-2 text-sm font-medium whitespace-nowrap ' +
    '[clip-path:polygon(0_0,100%_0,calc(100%-6px)_50%,100%_100%,0_100%)] ' +
    "before:absolute before:inset-px before:-z-1 before:[clip-path:inherit] before:content-['']",
  {
    variants: {
      chosen: { true: 'before:bg-tint', false: 'before:bg-paper' },
      edge: { ink: 'bg-ink', chosen: 'bg-overlay', deep: 'bg-buoy' },
    },
    defaultVariants: { chosen: false, edge: 'ink' },
  },
);

type Of = { children: ReactNode; chosen?: boolean; remove?: () => void; removeLabel?: string };

const Drop = ({ remove, label }: { remove: () => void; label: string }) => (
  <Tip text={label}>
    <button
      type="button"
      aria-label={label}
      onClick={remove}
      className="hover:bg-tint -mr-1.5 -ml-0.5 inline-grid size-6 place-content-center rounded-sm"
    >
      <X size={12} aria-hidden />
    </button>
  </Tip>
);

/** A reader: a swallowtail flag, everywhere. */
export function Flag({ children, chosen, deep, remove, removeLabel = '' }: Of & { deep?: boolean }) {
  const edge = chosen ? 'chosen' : 'ink';
  return (
    <span className={flag({ chosen, edge: deep ? 'deep' : edge })}>
      {children}
      {remove && <Drop remove={remove} label={removeLabel} />}
    </span>
  );
}

const plate = cva(
  'inline-flex h-6.5 items-center gap-2 rounded-r-xs border border-l-4 border-l-ink ' +
    '[border-left-style:double] px-2 text-sm ' +
    'font-medium whitespace-nowrap',
  {
    variants: { chosen: { true: 'border-overlay bg-tint', false: 'border-ink bg-paper' } },
    defaultVariants: { chosen: false },
  },
);

/** A text: a plate with a double spine, everywhere. */
export const Plate = ({ children, chosen, remove, removeLabel = '' }: Of) => (
  <span className={plate({ chosen })}>
    {children}
    {remove && <Drop remove={remove} label={removeLabel} />}
  </span>
);

/** What narrows a list, said as it is, and taken off where it stands. */
export const Token = ({ children, remove, removeLabel }: Of & { remove: () => void; removeLabel: string }) => (
  <span className="border-overlay bg-tint inline-flex h-7 items-center gap-1.5 rounded-full border pr-2.5 pl-3 text-sm">
    {children}
    <Drop remove={remove} label={removeLabel} />
  </span>
);

/** A number beside a word where somebody waits. */
export const Waiting = ({ n, what }: { n: number; what: string }) => (
  <b className="border-ink min-w-5 rounded-full border px-1.25 text-center text-sm leading-4.5 font-semibold">
    {n}
    <span className="sr-only"> {what}</span>
  </b>
);
