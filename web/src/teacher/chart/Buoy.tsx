import { t } from '../../shared/words';

const names: Record<string, string> = {
  OutOfDepth: 'Out of depth',
  ReadyToMoveDeeper: 'Ready to move deeper',
  FlickedThrough: 'Flicked through',
  SameStrandMissed: 'Same strand missed',
  NothingRead: 'Nothing read',
};
export const signalName = (kind: string) => t(names[kind] ?? kind);

const topmarks: Record<string, string> = {
  OutOfDepth: 'M4 5.500h6L7 1z',
  ReadyToMoveDeeper: 'M4 1h6L7 5.500z',
  SameStrandMissed: 'M4.200 1.200h5.600v4.300H4.200z',
  FlickedThrough: 'M4.500 1l5 4.500m0-4.500l-5 4.500',
  NothingRead: 'M7 3.200m-2.200 0a2.200 2.200 0 1 0 4.400 0a2.200 2.200 0 1 0-4.400 0',
};

/** A signal's shape: a buoy with the topmark of its kind. */
export function Buoy({ kind }: { kind: string }) {
  const open = kind === 'FlickedThrough' || kind === 'NothingRead';
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
      <path d={topmarks[kind]} fill={open ? 'none' : undefined} />
      <path d="M7 5.500V9" />
      <path d="M3.200 16.500L5.200 9h3.600l2 7.500z" fill="var(--paper)" />
      <path d="M1 16.500q1.500-1.200 3 0t3 0t3 0t3 0" fill="none" />
    </svg>
  );
}
