import type { Api } from './api';
import { phrase, type Phrase } from './words';

export type TaskKind = Api<'TaskKind'>;

/** What a teacher reads; every kind has its word. */
export const taskWords: Record<TaskKind, Phrase> = {
  Text: phrase('text with questions'),
  Quiz: phrase('questions only'),
  Recording: phrase('read aloud'),
  Written: phrase('written answer'),
  Words: phrase('word list'),
  Link: phrase('link'),
  LevelCheck: phrase('level check'),
};

/** Questions of a quiz are asked. */
export const asks = (kind: TaskKind) => kind === 'Text' || kind === 'Quiz';

/** About a text of the library, of which a reader gets a version. */
export const ofText = (kind: TaskKind) => kind === 'Text' || kind === 'Quiz' || kind === 'Recording';
