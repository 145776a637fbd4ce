import type { Api } from '../../shared/api';
import { sure } from '../../shared/sure';

/** A file's bytes as base64, as the server wants them. */
export const base64 = (file: File) =>
  new Promise<string>((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done((reader.result as string).split(',')[1] ?? '');
    reader.onerror = () => failed(new Error('The file could not be read. Nothing changed. Choose another file.'));
    reader.readAsDataURL(file);
  });

export type DraftText = Api<'DraftTextView'>;
/** What is to be taken in of a text. */
export type Taking = {
  id: string;
  title: string;
  kind: string;
  topic: string;
  fiction: boolean;
  alts: Record<string, string>;
  words: string[];
  taken: boolean;
};
/** A file that was read. */
export type Opened = { name: string; file: string; texts: DraftText[]; notes: string[]; taking: Taking[] };

/** A text that cannot be taken in as it is. */
export const stopped = (d: DraftText) => d.remarks.some((r) => r.stops);

/** A file as it opens: everything is taken in that can be. */
export const opened = (name: string, file: string, view: { texts: DraftText[]; notes: string[] }): Opened => ({
  name,
  file,
  ...view,
  taking: view.texts.map((d) => ({
    title: d.title,
    kind: d.kind,
    topic: d.topic,
    fiction: d.fiction,
    alts: Object.fromEntries(d.pictures.map((p) => [p.name, p.alt])),
    words: [],
    taken: !stopped(d),
    id: crypto.randomUUID(),
  })),
});

/** What is sent of an open file: the texts that are taken, with the words to know that were ticked. */
export const taken = (open: Opened) =>
  open.taking.flatMap((x, i) =>
    x.taken
      ? [
          {
            number: i,
            id: x.id,
            title: x.title,
            kind: x.kind,
            topic: x.topic,
            fiction: x.fiction,
            alts: x.alts,
            words: sure(open.texts[i])
              .suggestedWords.filter((w) => x.words.includes(w.word))
              .map((w) => ({ text: w.word, part: '', meaning: '', example: w.example })),
          },
        ]
      : [],
  );
