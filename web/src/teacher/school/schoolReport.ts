import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ok, type Api } from '../../shared/api';
import { number, signed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, t, type Phrase } from '../../shared/words';
import type { Asked } from '../reports/span';

export type SchoolReport = Api<'SchoolReportView'>;
export type Group = Api<'SchoolGroupView'>;
export type Measure = Api<'SchoolMeasure'>;
export type Mean = Api<'MeanRange'>;
export type By = Api<'SchoolPart'>;

export const measures = ['Words', 'Minutes', 'FirstTry', 'Growth', 'AgainstTypical'] as const;
export const measureNames: Record<Measure, Phrase> = {
  Words: phrase('Words a week'),
  Minutes: phrase('Minutes a week'),
  FirstTry: phrase('First try'),
  Growth: phrase('Growth'),
  AgainstTypical: phrase('Against typical growth'),
};
export const measureMeans: Record<Measure, Phrase> = {
  Words: phrase('Words of full readings in a school week. Readers without any count as 0.'),
  Minutes: phrase('Active minutes of full readings in a school week. Readers without any count as 0.'),
  FirstTry: phrase('Score of quizzes at the first try, in percent, of readers who did one.'),
  Growth: phrase(
    'How far levels moved in these days, in fathoms, of readers whose level was known before. + is deeper.',
  ),
  AgainstTypical: phrase(
    'Growth less what the level chart calls typical at each reader’s level in as many school weeks, in fathoms.',
  ),
};
const inFathoms = (measure: Measure) => measure === 'Growth' || measure === 'AgainstTypical';

/** One figure of a measure, with its sign where it is a difference or fathoms. */
export const figure = (measure: Measure, x: number, difference = false) => {
  if (inFathoms(measure)) return signed(x);
  return difference && x >= 0 ? `+${number(x)}` : number(x).replace('-', '−');
};
export const meanSaid = (measure: Measure, mean: Mean | null | undefined, difference = false) =>
  mean
    ? t('{{mean}} ± {{half}}', {
        mean: figure(measure, mean.mean, difference),
        half: inFathoms(measure) ? mean.half.toFixed(1) : number(mean.half),
      })
    : '–';

export const measureOf = (figures: Api<'SchoolFigures'>, measure: Measure) =>
  figures.measures.find((m) => m.measure === measure);

/** The scale of a picture: every mean with its range, and zero where it means something. */
export function scaleOf(measure: Measure, means: readonly Mean[]): { from: number; to: number } {
  const ends = means.flatMap((m) => [m.mean - m.half, m.mean + m.half]);
  if (measure !== 'FirstTry') ends.push(0);
  if (ends.length === 0) return { from: 0, to: 1 };
  const from = Math.min(...ends);
  const to = Math.max(...ends);
  const air = Math.max((to - from) * 0.06, 0.01);
  return { from: from - air, to: to + air };
}

export const useSchoolReport = (asked: Asked, by: By) =>
  useQuery({
    queryKey: keys.school.reports(asked, by),
    placeholderData: keepPreviousData,
    queryFn: () =>
      ok(
        api.GET('/school/reports', {
          params: { query: { kind: asked.kind, to: asked.to, from: asked.from, by } },
        }),
      ),
  });
