import { t } from '../../shared/words';

/** A depth as it is written where there is room for words only: one that a teacher has set says so. */
export const depthWords = (r: { depth: number; levelSet?: unknown }, depth: string) =>
  r.levelSet ? t('{{depth}} set', { depth }) : depth;

/** Beside a depth that a teacher has set: it is no estimate, so it has no range. */
export const SetMark = () => (
  <abbr className="text-soft mr-1.5 text-sm italic no-underline" title={t('Set by a teacher, so it has no range.')}>
    {t('set')}
  </abbr>
);
