import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import type { AnswersOf } from './answersOf';
import { queryOf, type Asked } from './span';

export type Report = Api<'ReportView'>;
export type ReportRow = Report['rows'][number];
export type Sums = Api<'SumsView'>;
/** A line of the log, with how its questions went. */
export type LogRow = Api<'LogRow'> & { marks: Api<'LogLine'>['marks'] };
/** First tries at a strand. */
export const askedIn = (s: Sums['strands'][number]) => s.atOnce + s.later + s.notYet;

export type Missed = Api<'MissedQuestion'>;
export type TextRead = Api<'TextRead'>;
export type TryLine = Api<'TryLine'>;

const ask = (classId: string, asked: Asked) => ({
  params: { path: { classId }, query: queryOf(asked) },
});

/** Which days are meant: asked by itself, for what stands beside every view. */
export const useDays = (classId: string, asked: Asked) =>
  useQuery({
    queryKey: keys.reports.days(classId, asked),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/classes/{classId}/reports/days', ask(classId, asked))),
  });

export const useReaderReport = (classId: string, asked: Asked) =>
  useQuery({
    queryKey: keys.reports.readers(classId, asked),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/classes/{classId}/reports/readers', ask(classId, asked))),
  });

export const useQuestionReport = (classId: string, asked: Asked) =>
  useQuery({
    queryKey: keys.reports.questions(classId, asked),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/classes/{classId}/reports/questions', ask(classId, asked))),
  });

export const useTextReport = (classId: string, asked: Asked) =>
  useQuery({
    queryKey: keys.reports.texts(classId, asked),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/classes/{classId}/reports/texts', ask(classId, asked))),
  });

/** Who read what when: of the class, or of one reader. */
export const useLog = (classId: string, asked: Asked, readerId?: string) =>
  useQuery({
    queryKey: keys.reports.log(classId, asked, readerId),
    placeholderData: keepPreviousData,
    queryFn: () =>
      ok(
        api.GET('/classes/{classId}/reports/log', {
          params: { path: { classId }, query: { ...queryOf(asked), readerId } },
        }),
      ),
    select: (l) => ({ ...l, rows: l.lines.map((x): LogRow => ({ ...x.row, marks: x.marks })) }),
  });

/** First tries one by one. */
export const useAnswers = (classId: string, asked: Asked, { reader, strand, question }: AnswersOf) =>
  useQuery({
    queryKey: keys.reports.answers(classId, asked, { reader, strand, question }),
    placeholderData: keepPreviousData,
    queryFn: () =>
      ok(
        api.GET('/classes/{classId}/reports/answers', {
          params: { path: { classId }, query: { ...queryOf(asked), readerId: reader, strand, questionId: question } },
        }),
      ),
  });

/** What was read and answered day by day. */
export const useOverTime = (classId: string, asked: Asked) =>
  useQuery({
    queryKey: keys.reports.overTime(classId, asked),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/classes/{classId}/reports/over-time', ask(classId, asked))),
  });
