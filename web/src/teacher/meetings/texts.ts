import { t } from '../../shared/words';
import type { useSuggested } from '../assignments/week/useSuggested';
import type { Meeting } from './points';

type Suggested = NonNullable<ReturnType<typeof useSuggested>['data']>;

/** The texts a group can be given, as options of a list: why each stands there is said with it. */
export function textOptions(all: Suggested | undefined, groupId: string, kept: Meeting | null) {
  const texts = all?.find((g) => g.groupId === groupId)?.texts ?? [];
  return [
    { value: '', label: t('No text') },
    ...(kept?.textId && !texts.some((x) => x.textId === kept.textId)
      ? [{ value: kept.textId, label: kept.title ?? '' }]
      : []),
    ...texts.map((x) => ({
      value: x.textId,
      label: `${x.title}: ${[
        t('{{n}} within reach', { n: x.within }),
        x.had > 0 && t('{{n}} had it', { n: x.had }),
        x.tooDeep > 0 && t('{{n}} too deep', { n: x.tooDeep }),
      ]
        .filter(Boolean)
        .join(', ')}`,
    })),
  ];
}
