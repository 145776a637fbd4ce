import { z } from 'zod';
import type { Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { otherHomeLanguage } from '../../shared/language';
import { phrase, t, type Phrase } from '../../shared/words';

export type Terms = Pick<
  Api<'AssignmentRow'>,
  | 'visibleFrom'
  | 'dueOn'
  | 'closesOn'
  | 'need'
  | 'place'
  | 'results'
  | 'releasesOn'
  | 'worth'
  | 'mayChange'
  | 'talk'
  | 'heading'
  | 'directions'
  | 'homeDirections'
  | 'homeLanguage'
  | 'note'
>;

const needWords: Record<Terms['need'], Phrase> = {
  Required: phrase('Required'),
  Extra: phrase('Extra: opens when the rest is handed in'),
  Recommended: phrase('Recommended: never late'),
};
const shortNeeds: Record<Terms['need'], Phrase> = {
  Required: phrase('required'),
  Extra: phrase('extra'),
  Recommended: phrase('recommended'),
};
const placeWords: Record<Terms['place'], Phrase> = {
  Anywhere: phrase('Anywhere'),
  AtSchool: phrase('At school'),
  AtHome: phrase('At home'),
};
const shortPlaces: Record<Exclude<Terms['place'], 'Anywhere'>, Phrase> = {
  AtSchool: phrase('at school'),
  AtHome: phrase('at home'),
};

const resultWords: Record<Terms['results'], Phrase> = {
  AtOnce: phrase('At once'),
  WhenReleased: phrase('When you release them'),
};

/** The choices of a closed set, in its order. */
export const optionsOf = <K extends string>(words: Record<K, Phrase>) =>
  (Object.keys(words) as K[]).map((value) => ({ value, label: t(words[value]) }));
export const needOptions = () => optionsOf(needWords);
export const placeOptions = () => optionsOf(placeWords);
export const resultOptions = () => optionsOf(resultWords);

const practiceWords: Record<Api<'WordPractice'>, Phrase> = {
  Meaning: phrase('Meaning'),
  Sound: phrase('Sound'),
  Both: phrase('Meaning and sound'),
};
export const practiceOptions = () => optionsOf(practiceWords);

/** Whether readers see one another's written answers. */
export const talkWords = phrase('Open for talk: readers see the written answers of others after their own');

/** What is not usual about an assignment: what readers need not do, where it is done, when it closes. */
export const unusual = (
  a: Omit<Terms, 'results' | 'releasesOn' | 'worth' | 'mayChange' | 'talk' | 'homeDirections' | 'homeLanguage'> &
    Partial<Terms> & { turn?: number | null },
) =>
  [
    a.turn != null && a.turn > 0 && t('opens when the one before is handed in'),
    a.mayChange && t('readers may change version'),
    a.talk && t('open for talk'),
    a.results === 'WhenReleased' &&
      (a.releasesOn ? t('results on {{day}}', { day: dayOf(a.releasesOn) }) : t('results when released')),
    a.worth === 0 && t('not in the gradebook'),
    a.need !== 'Required' && t(shortNeeds[a.need]),
    a.place !== 'Anywhere' && t(shortPlaces[a.place]),
    a.closesOn && t('closes {{day}}', { day: dayOf(a.closesOn) }),
  ].filter((x) => x !== false && x !== null && x !== '');

/** Most points an assignment can be worth, and what it is worth unless someone says otherwise. */
const mostWorth = 1000;
export const usualWorth = 100;

/** The fields of an assignment's terms as a form has them; an empty day is none. */
export const termsSchema = z
  .object({
    visibleFrom: z.string(),
    dueOn: z.string(),
    closesOn: z.string(),
    need: z.enum(['Required', 'Extra', 'Recommended']),
    place: z.enum(['Anywhere', 'AtSchool', 'AtHome']),
    results: z.enum(['AtOnce', 'WhenReleased']),
    releasesOn: z.string(),
    worth: z
      .number()
      .int()
      .min(0)
      .max(mostWorth, { error: () => t('Enter 0 to {{n}} points.', { n: mostWorth }) }),
    mayChange: z.boolean(),
    talk: z.boolean(),
    heading: z.string(),
    directions: z.string(),
    homeDirections: z.string(),
    note: z.string(),
  })
  .refine((x) => !x.dueOn || x.dueOn >= x.visibleFrom, {
    path: ['dueOn'],
    error: () => t('It is due before readers see it. Choose a later day.'),
  })
  .refine((x) => !x.closesOn || x.closesOn >= (x.dueOn || x.visibleFrom), {
    path: ['closesOn'],
    error: () => t('It closes before it is due. Choose a later day.'),
  });

export const fieldsOf = (a: Terms): z.infer<typeof termsSchema> => ({
  visibleFrom: a.visibleFrom,
  dueOn: a.dueOn ?? '',
  closesOn: a.closesOn ?? '',
  need: a.need,
  place: a.place,
  results: a.results,
  releasesOn: a.releasesOn ?? '',
  worth: a.worth,
  mayChange: a.mayChange,
  talk: a.talk,
  heading: a.heading,
  directions: a.directions,
  homeDirections: a.homeDirections,
  note: a.note,
});

/** Terms as they are sent. What is only recommended is never due. */
export const termsOf = (x: z.infer<typeof termsSchema>): Terms => ({
  ...x,
  dueOn: x.need === 'Recommended' ? null : x.dueOn || null,
  closesOn: x.closesOn || null,
  releasesOn: x.releasesOn || null,
  homeLanguage: x.homeDirections.trim() ? otherHomeLanguage : '',
});
