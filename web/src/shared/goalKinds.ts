import type { Api } from './api';
import { number, percent } from './format';
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
  forGuardian: (target: number, done: number) => string;
};

export const goalKinds: Record<GoalKind, Kind> = {
  Comprehension: {
    name: () => t('Comprehension'),
    write: (x) => percent(x / 100),
    outOf: (done, target) =>
      t('{{done}} of {{target}}%', { done: done == null ? '–' : Math.round(done), target: Math.round(target) }),
    grows: false,
    forGuardian: (target, done) =>
      t('Answer {{target}}% right on the first try: {{done}}% so far', { target, done: Math.round(done) }),
  },
  Words: {
    name: () => t('Words'),
    write: number,
    outOf: (done, target) =>
      t('{{done}} of {{target}}', { done: done == null ? '–' : number(done), target: number(target) }),
    grows: true,
    forGuardian: (target, done) =>
      t('Read {{target}} words: {{done}} so far', { target: number(target), done: number(done) }),
  },
};

const courses: Record<Api<'Course'>, Phrase> = {
  Reached: phrase('reached'),
  OnCourse: phrase('on course'),
  SlightlyBehind: phrase('slightly behind'),
  Behind: phrase('behind'),
};
export const courseWord = (course: Api<'Course'>) => t(courses[course]);
