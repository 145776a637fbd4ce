import type { ReactNode } from 'react';

const paper = 'var(--color-paper)';
const light = 'var(--color-depth-2)';
const middle = 'var(--color-depth-4)';
const deep = 'var(--color-depth-5)';

/** What lives in a tide pool: ink lines and tints, each about 40 units wide, around its own middle. */
export const things: readonly ReactNode[] = [
  // a scallop
  <g key="scallop">
    <path d="M0 18C-22 14-24-8-12-16C-4-21 4-21 12-16C24-8 22 14 0 18Z" fill={paper} />
    <path d="M0 17L-13-14M0 17L-5-19M0 17L5-19M0 17L13-14" />
  </g>,
  // a sea star
  <path key="star" d="M0-19L5-6L19-6L8 3L13 17L0 9L-13 17L-8 3L-19-6L-5-6Z" fill={middle} />,
  // a fish
  <g key="fish">
    <path d="M-20 0C-12-13 8-13 15-2L22-9V9L15 2C8 13-12 13-20 0Z" fill={paper} />
    <path d="M-4-8Q1 0-4 8" />
    <circle cx="-12" cy="-2" r="1.6" fill="currentColor" />
  </g>,
  // a snail's shell
  <g key="shell">
    <path d="M-18 12C-24-8-6-22 8-16C22-10 20 8 8 12Z" fill={light} />
    <path d="M4 10C14 4 10-10-1-9C-10-8-9 4-1 3C4 2 4-4 0-4" />
  </g>,
  // weed
  <path
    key="weed"
    d="M-3 20C-6 6-16 4-14-8M0 20C0 4-4-4 0-18M3 20C6 6 16 2 13-12M-14-8l-3-6M0-18l-3-4M13-12l4-5"
    strokeWidth="5"
    stroke={deep}
  />,
  // a pebble
  <g key="pebble">
    <path d="M-18 6C-18-6-8-12 2-11C14-10 20-2 18 7C12 14-14 14-18 6Z" fill={paper} />
    <path d="M-9-3Q0-8 9-4" />
  </g>,
  // an anemone
  <g key="anemone">
    <path d="M-11 18C-9 6-14 2-12-4H12C14 2 9 6 11 18Z" fill={middle} />
    <path
      d="M-11-4C-18-8-18-14-15-19M-4-4C-7-10-6-15-6-20M4-4C7-10 6-15 6-20M11-4C18-8 18-14 15-19"
      strokeWidth="3.2"
    />
  </g>,
  // a small crab
  <g key="crab">
    <path d="M-13 4L-20 10M-14 0L-22 2M13 4L20 10M14 0L22 2M-11-5Q-19-8-16-16M11-5Q19-8 16-16" />
    <path d="M-15 0C-15-11 15-11 15 0C13 11-13 11-15 0Z" fill={deep} />
    <circle cx="-16" cy="-16" r="4" fill={deep} />
    <circle cx="16" cy="-16" r="4" fill={deep} />
  </g>,
];
