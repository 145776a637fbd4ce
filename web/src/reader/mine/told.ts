import { t } from '../../shared/words';

/** What a reader has typed of something read elsewhere. */
export interface Told {
  title: string;
  author: string;
  day: string;
  minutes: string;
  pages: string;
  finished: boolean;
  said: string;
}

const most = { minutes: 600, pages: 3000 };

/** A whole number that was typed; null for none. */
export const whole = (typed: string) => (typed.trim() === '' ? null : Number(typed));

const outside = (typed: string, limit: number) => {
  const n = whole(typed);
  return n !== null && !(n >= 1 && n <= limit);
};

/**
 * What is wrong with it. It is said before anything is kept: what waits on the device to be sent has to be something the
 * server takes, also without a network.
 */
export function faultsOf(told: Told): { title?: string; minutes?: string; pages?: string } {
  return {
    ...(told.title.trim() === '' && { title: t('Enter what you read.') }),
    ...(outside(told.minutes, most.minutes) && {
      minutes: t('Enter 1 to {{n}}, or leave it empty.', { n: most.minutes }),
    }),
    ...(outside(told.pages, most.pages) && { pages: t('Enter 1 to {{n}}, or leave it empty.', { n: most.pages }) }),
  };
}
