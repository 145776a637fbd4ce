import type { Api } from './api';
import { number } from './format';
import { t } from './words';

export type GoalKind = Api<'GoalKind'>;

/** What the pages say of a kind of goal. */
type Kind = {
  name: () => string;
  /** A figure in the kind's own unit. */
  write: (x: number) => string;
  /** Where a goal should be by now is a place on its way; a mean has none. */
  grows: boolean;
  forGuardian: (target: number, done: number) => string;
};

export const goalKinds: Record<GoalKind, Kind> = {
  Comprehension: {
    name: () => t('Comprehension'),
    write: (x) => `${Math.round(x)} %`,
    grows: false,
    forGuardian: (target, done) =>
      t('Answer {{target}} % right at the first try: {{done}} % so far', { target, done: Math.round(done) }),
  },
  Words: {
    name: () => t('Words'),
    write: number,
    grows: true,
    forGuardian: (target, done) =>
      t('Read {{target}} words: {{done}} so far', { target: number(target), done: number(done) }),
  },
};

const courses: Record<Api<'Course'>, string> = {
  Reached: 'reached',
  OnCourse: 'on course',
  SlightlyBehind: 'slightly behind',
  Behind: 'behind',
};
export const courseWord = (course: Api<'Course'>) => t(courses[course]);
