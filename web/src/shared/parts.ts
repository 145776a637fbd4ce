import type { Api } from './api';

/** An adult's part in a class. */
export type Part = Api<'Part'>;

export const partWords: Record<Part, string> = {
  None: 'not a teacher',
  Assistant: 'assistant',
  CoTeacher: 'co-teacher',
  Teacher: 'teacher',
};

/** The parts that can be given, the greatest first. */
export const partsToGive = ['Teacher', 'CoTeacher', 'Assistant'] as const satisfies readonly Part[];

/** Teaches the class, as a teacher or beside one. */
export const teaches = (part: Part) => part === 'Teacher' || part === 'CoTeacher';
