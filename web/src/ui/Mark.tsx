/** The product's mark: a beacon over water. */
export function Mark() {
  return (
    <svg
      className="h-7.5 w-6.5"
      viewBox="0 0 26 30"
      fill="none"
      stroke="var(--color-ink)"
      strokeWidth="1.5"
      strokeLinecap="round"
      aria-hidden
    >
      <path
        d="M1.500 9.500c3.500-3.200 6-3.200 9 0M15.500 9.500c3-3.200 5.500-3.200 9 0"
        stroke="var(--color-depth-5)"
      />
      <path
        d="M1.500 15.500c3.500-3.200 6-3.200 9 0M15.500 15.500c3-3.200 5.500-3.200 9 0"
        stroke="var(--color-depth-6)"
      />
      <path d="M13 1.500v20M10.500 5.500h5M10.500 12h5M10.500 18h5" />
      <path
        d="M13 21.500l3.200 6.500h-6.400z"
        fill="var(--color-overlay)"
        stroke="var(--color-overlay)"
        strokeLinejoin="round"
      />
    </svg>
  );
}
