import { t } from '../../shared/words';

export type WordRow = { text: string; part: string; meaning: string; example: string };

/** Words with their meanings, one row each, and an empty row for the next. */
export function WordRows({ words, set, error }: { words: WordRow[]; set: (words: WordRow[]) => void; error?: string }) {
  const rows = [...words, { text: '', part: '', meaning: '', example: '' }];
  const change = (i: number, changes: Partial<WordRow>) =>
    set(
      rows
        .map((w, k) => (k === i ? { ...w, ...changes } : w))
        .filter((w) => w.text || w.meaning || w.part || w.example),
    );
  return (
    <fieldset className="wordrows">
      <legend>{t('Words to know')}</legend>
      {error && (
        <p className="error" role="alert">
          {error}
        </p>
      )}
      {rows.map((w, i) => (
        <div key={i} className="wordrow">
          <input
            type="text"
            aria-label={t('Word {{n}}', { n: i + 1 })}
            placeholder={t('word')}
            value={w.text}
            onChange={(e) => change(i, { text: e.target.value })}
          />
          <input
            type="text"
            aria-label={t('Part of speech of word {{n}}', { n: i + 1 })}
            placeholder={t('noun, verb…')}
            value={w.part}
            onChange={(e) => change(i, { part: e.target.value })}
          />
          <input
            type="text"
            aria-label={t('Meaning of word {{n}}', { n: i + 1 })}
            placeholder={t('meaning, in easier words')}
            value={w.meaning}
            onChange={(e) => change(i, { meaning: e.target.value })}
          />
          <input
            type="text"
            aria-label={t('Example of word {{n}}', { n: i + 1 })}
            placeholder={t('a sentence with it')}
            value={w.example}
            onChange={(e) => change(i, { example: e.target.value })}
          />
        </div>
      ))}
    </fieldset>
  );
}
