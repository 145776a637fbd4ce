import { phrase, type Phrase } from './words';
import type { Api } from './api';

/** What a roster may hold of a reader in words. */
export type ReaderDetail = keyof Api<'ReaderDetails'>;

export const detailNames: Record<ReaderDetail, Phrase> = {
  HomeLanguage: phrase('Home language'),
};

export const readerDetails = Object.keys(detailNames) as ReaderDetail[];
