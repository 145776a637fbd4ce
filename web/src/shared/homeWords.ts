import { z } from 'zod';
import { t } from './words';

/** No message to a family, and no answer from home, is longer. */
export const longestHomeWords = 2000;

/** What is written to a family, or answered from home. */
export const homeWords = z.object({
  words: z
    .string()
    .trim()
    .min(1, { error: () => t('Write something first.') })
    .max(longestHomeWords),
});
