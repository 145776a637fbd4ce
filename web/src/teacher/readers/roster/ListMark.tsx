// Told apart by their outline alone.
const drawings: Record<string, string> = {
  ring: 'M8 3a5 5 0 1 0 .1 0z',
  bar: 'M3 6h10v4H3z',
  wave: 'M2 9q3-5 6 0t6 0',
  cross: 'M4 4l8 8M12 4l-8 8',
  peak: 'M2 12L8 4l6 8z',
  dots: 'M4 8h.1M8 8h.1M12 8h.1',
};
export const marks = Object.keys(drawings);

/** The sign a list is marked with. */
export function ListMark({ name }: { name: string }) {
  return drawings[name] ? (
    <svg
      viewBox="0 0 16 16"
      width="16"
      height="16"
      fill="none"
      stroke="var(--color-ink)"
      strokeWidth={name === 'dots' ? 3 : 1.8}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={drawings[name]} />
    </svg>
  ) : null;
}
