/** A signal's shape: a buoy with the topmark of its kind, drawn as an outline where it is open. */
export function Buoy({ topmark, open = false }: { topmark: string; open?: boolean }) {
  return (
    <svg
      viewBox="0 0 14 18"
      width="14"
      height="18"
      fill="var(--color-buoy)"
      stroke="var(--color-buoy)"
      strokeWidth="1.3"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={topmark} fill={open ? 'none' : undefined} />
      <path d="M7 5.5V9" />
      <path d="M3.2 16.5L5.2 9h3.6l2 7.5z" fill="var(--color-paper)" />
      <path d="M1 16.5q1.5-1.2 3 0t3 0t3 0t3 0" fill="none" />
    </svg>
  );
}
