import type { Api } from './api';
import { fm, number, percent } from './format';
import { phrase, type Phrase, t } from './words';

export type GoalKind = Api<'GoalKind'>;

/** What the pages say of a kind of goal. */
type Kind = {
  name: () => string;
  /** A figure in the kind's own unit. */
  write: (x: number) => string;
  /** How far it is; there may be nothing yet to say so from. */
  outOf: (done: number | null, target: number) => string;
  /** Where a goal should be by now is a place on its way; a mean has none. */
  grows: boolean;
  /** For families: what it is about, and how far it is. */
  forGuardian: { name: () => string; soFar: (target: number, done: number) => string };
};

/** Percent as answers of ten: a family counts, it does not reckon. */
const ofTen = (share: number) => number(share / 10);

export const goalKinds: Record<GoalKind, Kind> = {
  Comprehension: {
    name: () => t('Comprehension'),
    write: (x) => percent(x / 100),
    outOf: (done, target) =>
      t('{{done}} of {{target}}%', { done: done == null ? '–' : Math.round(done), target: Math.round(target) }),
    grows: false,
    forGuardian: {
      name: () => t('Right on the first try'),
      soFar: (target, done) =>
        t('{{done}} of 10, the goal is {{target}}', { done: ofTen(done), target: ofTen(target) }),
    },
  },
  Words: {
    name: () => t('Words'),
    write: number,
    outOf: (done, target) =>
      t('{{done}} of {{target}}', { done: done == null ? '–' : number(done), target: number(target) }),
    grows: true,
    forGuardian: {
      name: () => t('Words'),
      soFar: (target, done) => t('{{done}} of {{target}}', { done: number(done), target: number(target) }),
    },
  },
  Depth: {
    name: () => t('Level'),
    write: (x) => `${fm(x)} fm`,
    outOf: (done, target) =>
      t('{{done}} of {{target}} fm', { done: done == null ? '–' : fm(done), target: fm(target) }),
    grows: false,
    forGuardian: { name: () => t('Read harder texts by the end of the term'), soFar: () => '' },
  },
};

const courses: Record<Api<'Course'>, Phrase> = {
  Reached: phrase('reached'),
  OnCourse: phrase('on course'),
  SlightlyBehind: phrase('slightly behind'),
  Behind: phrase('behind'),
};
export const courseWord = (course: Api<'Course'>) => t(courses[course]);
