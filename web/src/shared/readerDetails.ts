import type { Api } from './api';

/** What a roster may hold of a reader in words. */
export type ReaderDetail = keyof Api<'ReaderDetails'>;

export const detailNames: Record<ReaderDetail, string> = {
  HomeLanguage: 'Home language',
};

export const readerDetails = Object.keys(detailNames) as ReaderDetail[];
