import type { Api } from './api';

/** What is done for one reader. */
export type Supports = Api<'Supports'>;

export const noSupports: Supports = {
  readAloud: false,
  hideTimer: false,
  moreTime: 100,
  textSize: 0,
  oneChoice: false,
  retry: false,
};
