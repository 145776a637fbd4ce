import type { Api } from '../../shared/api';
import { strandName } from '../../shared/format';
import { phrase, type Phrase, t } from '../../shared/words';

export type Meeting = Api<'MeetingRow'>;
export type Point = Api<'PointView'>;
type Of = { kind: Api<'PointKind'>; strand: Api<'Strand'> | null };

const kinds: Record<Api<'PointKind'>, Phrase> = {
  Strand: phrase('strand'),
  Fluency: phrase('reading aloud smoothly'),
  Words: phrase('words'),
};

/** What a point is called. */
export const pointName = (p: Of) => (p.strand ? strandName(p.strand) : t(kinds[p.kind]));

/** One value for a list of points. */
export const pointKey = (p: Of) => p.strand ?? p.kind;

/** The point of a meeting: in its teacher's words where there are some. */
export const pointOf = (m: Meeting) => m.words || pointName({ kind: m.point, strand: m.strand });

export const marks: Record<Api<'SeenMark'>, Phrase> = {
  NotYet: phrase('not yet'),
  WithHelp: phrase('with help'),
  Alone: phrase('alone'),
};
export const allMarks = Object.keys(marks) as Api<'SeenMark'>[];

export const observations: Record<Api<'Observation'>, Phrase> = {
  FoundSentence: phrase('found the sentence'),
  SaidWhy: phrase('said why'),
  OwnLife: phrase('from own life'),
  RepeatedText: phrase('repeated the text'),
  ReadSmoothly: phrase('read smoothly'),
  ReadAgain: phrase('read it again'),
  CorrectedSelf: phrase('corrected it themselves'),
  WordByWord: phrase('word by word'),
  SaidMeaning: phrase('said what it means'),
  UsedWord: phrase('used the word'),
  FromContext: phrase('from the sentences around'),
  GuessedWord: phrase('guessed'),
};
