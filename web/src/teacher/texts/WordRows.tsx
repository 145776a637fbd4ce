import { cx } from 'class-variance-authority';
import { t } from '../../shared/words';
import { ErrorText } from '../../ui/Field';
import { TextField } from '../../ui/TextField';

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
    <fieldset
      className={cx(
        'border-line grid gap-1 rounded-md border px-2.5 pt-1.5 pb-2.5 [&>legend]:px-1',
        '[&>legend]:text-sm [&>legend]:font-semibold',
      )}
    >
      <legend>{t('Words to know')}</legend>
      {error && <ErrorText>{error}</ErrorText>}
      {rows.map((w, i) => (
        <div key={i} className="grid gap-1.5 max-lg:grid-cols-1 lg:grid-cols-[1fr_110px_2fr_2fr]">
          <TextField
            label={t('Word {{n}}', { n: i + 1 })}
            bare
            placeholder={t('word')}
            value={w.text}
            set={(value) => change(i, { text: value })}
          />
          <TextField
            label={t('Part of speech of word {{n}}', { n: i + 1 })}
            bare
            placeholder={t('noun, verb…')}
            value={w.part}
            set={(value) => change(i, { part: value })}
          />
          <TextField
            label={t('Meaning of word {{n}}', { n: i + 1 })}
            bare
            placeholder={t('meaning, in easier words')}
            value={w.meaning}
            set={(value) => change(i, { meaning: value })}
          />
          <TextField
            label={t('Example of word {{n}}', { n: i + 1 })}
            bare
            placeholder={t('a sentence with it')}
            value={w.example}
            set={(value) => change(i, { example: value })}
          />
        </div>
      ))}
    </fieldset>
  );
}
