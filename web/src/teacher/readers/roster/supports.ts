import type { Supports } from '../../../shared/supports';
import { t } from '../../../shared/words';

/** A reader's supports in words, for a row. */
export function supportWords(s: Supports): string[] {
  return [
    s.readAloud && t('listen'),
    s.hideTimer && t('hidden timer'),
    s.moreTime > 100 && t('{{n}}% time', { n: s.moreTime }),
    s.textSize > 0 && (s.textSize === 1 ? t('larger text') : t('largest text')),
    s.oneChoice && t('one choice at a time'),
    s.retry && t('one more try'),
  ].filter((x): x is string => !!x);
}
