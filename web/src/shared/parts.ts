import { phrase, type Phrase } from './words';
import type { Api } from './api';

/** An adult's part in a class. */
export type Part = Api<'Part'>;

export const partWords: Record<Part, Phrase> = {
  None: phrase('not a teacher'),
  Assistant: phrase('assistant'),
  CoTeacher: phrase('co-teacher'),
  Teacher: phrase('teacher'),
};

/** The parts that can be given, the greatest first. */
export const partsToGive = ['Teacher', 'CoTeacher', 'Assistant'] as const satisfies readonly Part[];

/** Teaches the class, as a teacher or beside one. */
export const teaches = (part: Part) => part === 'Teacher' || part === 'CoTeacher';
