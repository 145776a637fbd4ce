import { part } from '../shared/part';

/** A reader's side: fetched while they sign in. */
export const ReaderSide = part(() => import('./Reader'));
