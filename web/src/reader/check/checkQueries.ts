import { phrase, type Phrase } from '../../shared/words';
import { api, ok, type Api } from '../../shared/api';
import { useQuery } from '@tanstack/react-query';
import { keys } from '../../shared/keys';
import { getKept } from '../offline/kept';

export type MyCheck = Api<'MyCheck'>;
export type View = Api<'MyCheckView'>;
export type Stage = NonNullable<View['stage']>;

export const useMyChecks = () =>
  useQuery({ queryKey: keys.my.checks, queryFn: () => getKept('/my/checks', () => ok(api.GET('/my/checks'))) });
export const checkKey = (id: string) => keys.my.check(id);
export const checkOf = (id: string) => ({
  queryKey: checkKey(id),
  queryFn: () =>
    getKept(`/my/checks/${id}`, () => ok(api.GET('/my/checks/{sittingId}', { params: { path: { sittingId: id } } }))),
  staleTime: 60_000,
});
export const useMyCheck = (id: string) => useQuery(checkOf(id));

type Part = Api<'CheckPart'>;
export const partTitles: Record<Part, Phrase> = {
  WordReading: phrase('Words'),
  WordMeaning: phrase('What words mean'),
  Maze: phrase('The missing words'),
  Passages: phrase('Texts'),
};
/** What to do in a part, for its reader. */
export const partDirections: Record<Part, Phrase> = {
  WordReading: phrase('You will see three words. Only one is a real word. Tap it.'),
  WordMeaning: phrase('You will see a word. Tap what it means.'),
  Maze: phrase(
    'You will read a text. Sometimes there are three words. Tap the one that fits. Go on until the time is up.',
  ),
  Passages: phrase('You will read a text. Then you answer questions. You can look at the text again.'),
};
/** One question to try first in each part, which counts for nothing. */
export const practice: Record<Part, { stem: string; choices: string[]; right: number }> = {
  WordReading: { stem: '', choices: ['sunn', 'sun', 'sownn'], right: 1 },
  WordMeaning: {
    stem: 'kitten',
    choices: ['a young cat', 'a room to cook in', 'a warm glove', 'a small boat'],
    right: 0,
  },
  Maze: { stem: 'The dog ran after the …', choices: ['blue', 'ball', 'sang'], right: 1 },
  Passages: {
    stem: 'Ben put on his boots because it rained. Why did Ben put on his boots?',
    choices: ['It was raining.', 'He was cold.', 'His boots were new.', 'He went to bed.'],
    right: 0,
  },
};
