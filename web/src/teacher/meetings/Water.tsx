import type { Api } from '../../shared/api';

const heights: Record<Api<'SeenMark'>, number> = { NotYet: 8, WithHelp: 18, Alone: 28 };

/** How it went, as water in a glass; the word stands beside it. */
export function Water({ mark, chosen = true }: { mark: Api<'SeenMark'>; chosen?: boolean }) {
  const top = 34 - heights[mark];
  return (
    <svg viewBox="0 0 40 36" width="36" height="32" aria-hidden>
      <path
        d={`M3 ${top}q4.250 -3 8.500 0t8.500 0t8.500 0t8.500 0V34H3z`}
        fill={chosen ? 'var(--color-depth-5)' : 'var(--color-depth-2)'}
        stroke={chosen ? 'var(--color-ink)' : 'var(--color-depth-4)'}
      />
      <path
        d="M3 2V34H37V2"
        fill="none"
        stroke={chosen ? 'var(--color-ink)' : 'var(--color-depth-4)'}
        strokeWidth="1.5"
      />
    </svg>
  );
}
