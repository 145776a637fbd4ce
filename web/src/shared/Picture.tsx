import { cx } from 'class-variance-authority';
import { named, t } from './words';

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
  sun:
    'M22 14a8 8 0 1 0 0 16a8 8 0 1 0 0-16zM22 9V5M22 39v-4M9 22H5M39 22h-4M13 13l-3-3M34 34l-3-3' +
    'M31 13l3-3M10 34l3-3',
  moon: 'M28 8a15 15 0 1 0 7 24a13 13 0 0 1-7-24z',
  star: 'M22 6l5 11l12 1l-9 8l3 12l-11-6l-11 6l3-12l-9-8l12-1z',
  leaf: 'M8 36C6 18 18 8 36 8c0 18-10 30-28 28zM8 36L26 18',
  tree: 'M19 38v-9h6v9M22 5L9 20h6l-6 9h26l-6-9h6z',
  kite: 'M22 4l11 13l-11 15L11 17zM22 4v28M11 17h22M22 32c-5 3 4 5-1 9',
  cup: 'M9 14h21v14c0 5-4 8-10 8s-11-3-11-8zM30 18c9-1 9 11 0 10M16 9c-2-2 2-3 0-5M24 9c-2-2 2-3 0-5',
  apple: 'M22 14c-12-7-18 6-13 16c3 7 8 8 13 6c5 2 10 1 13-6c5-10-1-23-13-16zM22 14c0-5 3-8 7-8',
  hat: 'M4 30c9-4 27-4 36 0c-6 7-30 7-36 0zM11 28c0-12 3-18 11-18s11 6 11 18M11 25c6-2 16-2 22 0',
  drum: 'M8 18c0-4 28-4 28 0v12c0 6-28 6-28 0zM8 18c0 5 28 5 28 0M8 30l9-8l9 11l10-12M30 10l9-6M14 11L5 6',
  wheel: 'M22 7a15 15 0 1 0 0 30a15 15 0 1 0 0-30zM22 7v30M7 22h30M11 11l22 22M33 11L11 33',
  mountain: 'M3 36L17 12l7 12l5-7l12 19zM13 19l4 4l4-4',
};

const ring = '-ring';

export const pictureName = (picture: string) =>
  picture.endsWith(ring)
    ? t('{{picture}}, in a ring', { picture: named(picture.slice(0, -ring.length)) })
    : named(picture);

/** One of the pictures that readers and secrets are known by: an outline with a light tint, or the same in a ring. */
export function Picture({ name }: { name: string }) {
  const inRing = name.endsWith(ring);
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
      {inRing && <circle cx="22" cy="22" r="21" fill="var(--color-paper)" />}
      <path
        d={drawings[inRing ? name.slice(0, -ring.length) : name]}
        transform={inRing ? 'translate(7.5 7.5) scale(.66)' : undefined}
      />
    </svg>
  );
}

/** A reader's face: the picture that is theirs in this class, and the first letter of the name. */
export function Face({ picture, name }: { picture: string; name: string }) {
  return (
    <span className="relative" aria-hidden>
      <Picture name={picture} />
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
