import { cx } from 'class-variance-authority';
import { named } from './words';
import { sure } from './sure';

// Drawn here, so that every picture is told from every other by its outline alone.
const drawings: Record<string, string> = {
  anchor: 'M22 10v25M15 17h14M9 26c1 7 6 10 13 10s12-3 13-10M22 10a3 3 0 1 0 0-6a3 3 0 0 0 0 6z',
  bell: 'M11 31h22c-3-3-3-6-3-11c0-6-3-10-8-10s-8 4-8 10c0 5 0 8-3 11zM19 34a3 3 0 0 0 6 0M22 10V6',
  boat: 'M8 29h28l-5 7H13zM22 27V7l11 17H24M20 12v14h-9z',
  bread: 'M8 20c-3-6 3-11 14-11s17 5 14 11v15H8zM16 15l2 4M22 14l2 4M28 15l2 4',
  cloud: 'M12 32c-9 0-9-11 0-11c0-9 13-11 16-3c9-2 11 13 2 14z',
  crab:
    'M12 24c0-6 5-8 10-8s10 2 10 8s-5 8-10 8s-10-2-10-8zM12 20c-6-1-6-8-2-10M32 20c6-1 6-8 2-10M14 ' +
    '31l-5 5M30 31l5 5M18 16v-4M26 16v-4',
  fish: 'M6 22c7-10 18-10 24 0c-6 10-17 10-24 0zM30 22l9-7v14zM13 20v1',
  flag: 'M12 38V6M12 8h22l-5 7l5 7H12',
  gull: 'M4 18c6-4 12-2 18 7c6-9 12-11 18-7M22 25v4',
  key: 'M15 22a7 7 0 1 0 0 .1M22 22h16v6M32 22v5',
  lamp: 'M15 14h14v16H15zM13 30h18v5H13zM18 14V9h8v5M22 19v6',
  shell: 'M22 36C8 33 6 18 12 12c5-5 15-5 20 0c6 6 4 21-10 24zM22 36V9M22 36L13 14M22 36l9-22',
};

export const pictureName = (name: string) => named(name);

/** One of the pictures that secrets are made of, with outline and light tint. */
export function Picture({ name }: { name: string }) {
  return (
    <svg
      className="block"
      viewBox="0 0 44 44"
      width="44"
      height="44"
      fill="var(--color-depth-2)"
      stroke="var(--color-ink)"
      strokeWidth="1.8"
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden
    >
      <path d={drawings[name]} />
    </svg>
  );
}

/** A reader's face: an animal-free mark made from the name, always the same for the same reader. */
export function Face({ id, name }: { id: string; name: string }) {
  const all = Object.keys(drawings);
  const n = [...id].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 9973, 7);
  return (
    <span className="relative" aria-hidden>
      <Picture name={sure(all[n % all.length])} />
      <b
        className={cx(
          'bg-ink text-paper absolute -right-2.5 -bottom-0.5 size-5.5 rounded-full text-center',
          'text-base leading-5.5',
        )}
      >
        {[...name][0]}
      </b>
    </span>
  );
}
