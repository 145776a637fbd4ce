import { z } from 'zod';
import { line } from '../../shared/forms';
import { phrase } from '../../shared/words';

/**
 * A text as it is written: versions as one piece of Markdown each. A new one brings its ID, so that what is sent again
 * is the same text.
 */
export const textSchema = z.object({
  id: z.string().nullish(),
  title: line(120, phrase('Enter a title of 120 letters or fewer.')),
  kind: z.string(),
  topic: z.string(),
  fiction: z.boolean(),
  spelling: z.string(),
  blurb: z.string(),
  season: z.string(),
  mine: z.boolean(),
  note: z.string(),
  versions: z.array(z.object({ id: z.string().nullish(), label: z.string(), body: z.string() })),
  words: z.array(z.object({ text: z.string(), part: z.string(), meaning: z.string(), example: z.string() })),
});

export type TextForm = z.infer<typeof textSchema>;

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
