import { signals, type SignalKind } from './signals';

/** A signal's shape: a buoy with the topmark of its kind. */
export function Buoy({ kind }: { kind: SignalKind }) {
  const { topmark, open } = signals[kind];
  return (
    <svg
      className="buoy"
      viewBox="0 0 14 18"
      width="14"
      height="18"
      fill="var(--buoy)"
      stroke="var(--buoy)"
      strokeWidth="1.3"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={topmark} fill={open ? 'none' : undefined} />
      <path d="M7 5.500V9" />
      <path d="M3.200 16.500L5.200 9h3.600l2 7.500z" fill="var(--paper)" />
      <path d="M1 16.500q1.500-1.200 3 0t3 0t3 0t3 0" fill="none" />
    </svg>
  );
}
