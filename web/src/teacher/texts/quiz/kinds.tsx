import type { FunctionComponent } from 'react';
import type { Api } from '../../../shared/api';
import { sure } from '../../../shared/sure';
import { phrase, type Phrase, t } from '../../../shared/words';
import { ChosenKey, OrderedKey, PairedKey, TriesInWords, type KeyProps } from './keys';

type Choice = Api<'Choice'>;
const choice = (): Choice => ({ text: '', right: false, reason: '', match: null });
const several = (n: number, make = choice) => Array.from({ length: n }, make);

/** What a question's choices are to its writer. */
export type ChoicesForm = {
  legend: () => string;
  another: () => string;
  /** What a new question begins with. */
  blank: () => Choice[];
  /** How many of them can be right; none where they are not right or wrong. */
  rights?: 'one' | 'several';
  /** Each has another half. */
  paired?: true;
  /** They are counted, not lettered. */
  numbered?: true;
};
type Kind = {
  name: Phrase;
  choices?: ChoicesForm;
  /** What its writer has to know. */
  hint?: () => string;
  /** What it asks for is words, which a person marks by a rubric. */
  written?: true;
  /** The right answer, and what a reader made of it. */
  Key?: FunctionComponent<KeyProps>;
};

const pairs: ChoicesForm = {
  legend: () => t('Pairs; leave the left side empty for an extra'),
  another: () => t('Add pair'),
  blank: () => several(3, () => ({ ...choice(), match: '' })),
  paired: true,
};
const order: ChoicesForm = {
  legend: () => t('In the right order; readers see them shuffled'),
  another: () => t('Add choice'),
  blank: () => several(3),
  numbered: true,
};
const chosen = (rights: 'one' | 'several'): ChoicesForm => ({
  legend: () => t('Choices, and why each is right or what went wrong'),
  another: () => t('Add choice'),
  blank: () => several(4),
  rights,
});

const byKind: Record<Api<'QuestionKind'>, Kind> = {
  Single: { name: phrase('choose one'), choices: chosen('one'), Key: ChosenKey },
  Multiple: { name: phrase('choose several'), choices: chosen('several'), Key: ChosenKey },
  Order: {
    name: phrase('put in order'),
    choices: order,
    Key: (p) => (
      <>
        <OrderedKey {...p} />
        <TriesInWords {...p} of={(a) => a.picks.map((n) => p.q.choices[n]?.text).join(' → ')} />
      </>
    ),
  },
  Match: {
    name: phrase('match'),
    choices: pairs,
    Key: (p) => (
      <>
        <PairedKey {...p} />
        <TriesInWords
          {...p}
          of={(a) =>
            p.q.choices
              .filter((c) => c.text)
              .map((c, i) => `${c.text} – ${p.q.choices[sure(a.picks[i])]?.match ?? ''}`)
              .join('; ')
          }
        />
      </>
    ),
  },
  Sentence: {
    name: phrase('pick the sentence'),
    hint: () => t('Readers tap a sentence in the text. Choose the right one beside.'),
    Key: (p) => <TriesInWords {...p} of={(a) => `${a.correct ? '✓' : '✗'} “${a.words}”`} />,
  },
  Short: { name: phrase('short answer'), written: true },
  Long: { name: phrase('long answer'), written: true },
};

export const kinds = Object.keys(byKind) as Api<'QuestionKind'>[];
export const kindOf = (q: { kind: Api<'QuestionKind'> }) => byKind[q.kind];
export const kindName = (kind: Api<'QuestionKind'>) => t(byKind[kind].name);
