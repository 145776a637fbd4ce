import { part } from '../../shared/part';

export const OwnColumns = part(() => import('./OwnColumns'));
