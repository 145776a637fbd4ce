import { part } from '../../shared/part';

/** The homes by age. */
export const Young = part(() => import('./Young'));
export const Older = part(() => import('./Older'));
