import { part } from '../shared/part';

/** The pages of a reader's side: each is fetched ahead, or when it is gone to. */
export const Reading = part(() => import('./Reading'));
export const Quiz = part(() => import('./Quiz'));
export const Result = part(() => import('./Result'));
export const Choose = part(() => import('./Choose'));
export const Check = part(() => import('./check/Check'));
export const Task = part(() => import('./task/Task'));
export const Papers = part(() => import('./papers/Papers'));
export const KeptWords = part(() => import('./words/KeptWords'));
export const Mine = part(() => import('./mine/Mine'));

/** In this order, so that they are there without a network. */
export const pages = [Reading, Quiz, Result, Choose, Check, Task, Papers, KeptWords, Mine];
