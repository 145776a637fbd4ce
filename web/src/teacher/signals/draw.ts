import type { ReactNode } from 'react';
import type { Signal } from './signals';

/** The size of a picture, and how many marks of one kind it holds. */
export const width = 240,
  height = 48,
  most = 24;

export const text = { fontSize: 12, fill: 'var(--color-ink)', stroke: 'none' } as const;

export type Of = (props: { s: Signal }) => ReactNode;

export const at = (s: Signal, i: number) => s.figures[i] ?? 0;
