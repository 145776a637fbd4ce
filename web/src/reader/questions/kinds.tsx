import type { FunctionComponent } from 'react';
import type { Api } from '../../shared/api';
import { t } from '../../shared/words';
import { Choose } from './Choose';
import type { Picker, Shown } from './draft';
import { PickSentence } from './PickSentence';
import { PutInOrder } from './PutInOrder';
import { PutTogether } from './PutTogether';

/** How questions of one kind are answered: by picking, or by writing on so many lines. */
type Way = { hint: (q: Shown) => string } & (
  { Pick: FunctionComponent<Picker>; lines?: never } | { lines: number; Pick?: never }
);

export const ways: Record<Api<'QuestionKind'>, Way> = {
  Single: { hint: () => t('Choose one.'), Pick: Choose },
  Multiple: { hint: (q) => t('Choose {{n}}.', { n: q.wanted }), Pick: Choose },
  Order: { hint: () => t('Tap them in order, from the first to the last.'), Pick: PutInOrder },
  Match: { hint: () => t('Tap what belongs to each.'), Pick: PutTogether },
  Sentence: { hint: () => t('Tap the sentence.'), Pick: PickSentence },
  Short: { hint: () => t('Write a sentence or two.'), lines: 3 },
  Long: { hint: () => t('Write a few sentences.'), lines: 8 },
};

/** Answered in words, which a person marks. */
export const isWritten = (q: Pick<Shown, 'kind'>) => ways[q.kind].lines !== undefined;
