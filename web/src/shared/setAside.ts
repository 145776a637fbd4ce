import { phrase, type Phrase, t } from './words';

const reasons: Record<string, Phrase> = {
  over: phrase('the check had ended'),
  'not-open': phrase('it had been handed in already'),
  'no-attempt-left': phrase('all tries were used'),
  'not-found': phrase('it was taken back'),
  failed: phrase('the server could not read it'),
};

/** What a reader did and the server could not take, in sentences, one a reason. */
export const setAsideSentences = (all: { code: string; answers: number }[]): string[] =>
  [...new Set(all.map((s) => s.code))].map((code) => {
    const count = all.reduce((n, s) => n + (s.code === code ? s.answers : 0), 0);
    const why = t(reasons[code] ?? 'it could not be sent');
    return count > 0
      ? t('{{count}} answers were not accepted: {{why}}.', { count, why })
      : t('Something was not accepted: {{why}}.', { why });
  });
