import { phrase, type Phrase } from '../../shared/words';
import { skipToken, useQuery } from '@tanstack/react-query';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';

export type Check = Api<'CheckView'>;
export type Sitting = Api<'SittingView'>;
export type Part = Api<'PartView'>;
export type Choices = Api<'CheckChoices'>;
export type CheckRow = Api<'CheckRow'>;

export const useChecks = (classId: string) =>
  useQuery({
    queryKey: keys.checks(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/checks', { params: { path: { classId } } })),
  });
export const useCheck = (checkId: string | undefined) =>
  useQuery({
    queryKey: keys.check(checkId),
    queryFn: checkId ? () => ok(api.GET('/checks/{checkId}', { params: { path: { checkId } } })) : skipToken,
  });
export const useChoices = () =>
  useQuery({ queryKey: keys.checkChoices, staleTime: 300_000, queryFn: () => ok(api.GET('/checks/choices')) });

type PartKind = Api<'CheckPart'>;
export const partNames: Record<PartKind, Phrase> = {
  WordReading: phrase('word reading'),
  WordMeaning: phrase('word meaning'),
  Maze: phrase('maze'),
  Passages: phrase('passages'),
};
export const partOrder: readonly PartKind[] = ['WordReading', 'WordMeaning', 'Maze', 'Passages'];
/** What happens in a part, for whoever picks it. */
export const partAbout: Record<PartKind, Phrase> = {
  WordReading: phrase('Which of three letter strings is the word? 15 words, harder and easier as the reader goes.'),
  WordMeaning: phrase('Which of four meanings is the word’s? 15 words from the library.'),
  Maze: phrase('A text with a choice of three at every seventh word, against the clock.'),
  Passages: phrase('Texts the reader has not had, with their questions; each chosen for what it is expected to say.'),
};
type Season = Api<'Season'>;
export const seasons: readonly Season[] = ['Autumn', 'Winter', 'Spring'];
export const seasonWords: Record<Season, Phrase> = {
  Autumn: phrase('autumn'),
  Winter: phrase('winter'),
  Spring: phrase('spring'),
};

/** Whether a reader has done anything of a check. */
export const begun = (s: Sitting) =>
  s.parts.some((p) => p.answered > 0 || p.state === 'UnderWay' || p.state === 'Done');
/** The part a reader is in, or comes to next; none is left for who has finished. */
export const partNow = (s: Sitting): Part | undefined =>
  s.parts.find((p) => p.state === 'UnderWay') ?? s.parts.find((p) => p.state === 'Waiting');
