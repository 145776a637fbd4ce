import type { Api } from '../../shared/api';

/**
 * A text as it is written: versions as one piece of Markdown each. A new one brings its ID, so that what is sent again
 * is the same text.
 */
export type TextForm = Omit<Api<'OwnTextRequest'>, 'revision'>;

export const emptyText: TextForm = {
  title: '',
  kind: '',
  topic: '',
  fiction: false,
  spelling: 'British',
  blurb: '',
  season: '',
  mine: true,
  note: '',
  versions: [{ id: null, label: 'a', body: '' }],
  words: [],
};

/** Pages as one piece of Markdown. */
export const bodyOf = (pages: readonly (readonly string[])[]) => pages.map((p) => p.join('\n\n')).join('\n\n---\n\n');

/** The words of a text, as they are compared. */
export const wordsOf = (text: string) =>
  new Set(text.toLowerCase().match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu) ?? []);
