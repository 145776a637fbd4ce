import { useState } from 'react';
import type { Api } from '../../shared/api';
import type { Fields } from '../../shared/forms';
import { phrase, type Phrase, t } from '../../shared/words';
import { Segments } from '../../ui/Segments';
import { TextArea, TextField } from '../../ui/TextField';
import type { SchoolForm } from './Choices';

const languageNames: Record<Api<'Language'>, Phrase> = { English: phrase('English'), Spanish: phrase('Spanish') };

/** The letter to guardians in each language; a family gets the one of their home language. */
export function Letters({ form, marks }: { form: Fields<SchoolForm>; marks: string[] }) {
  const { letters } = form.values;
  const [shows, setShows] = useState<Api<'Language'>>('English');
  const at = letters.findIndex((l) => l.language === shows);
  if (at < 0) return null;
  const faulty = (i: number) => form.field(`letters.${i}.title`).error ?? form.field(`letters.${i}.body`).error;
  return (
    <>
      <Segments
        label={t('Language of the letter')}
        value={shows}
        set={setShows}
        options={letters.map((l, i) => ({
          value: l.language,
          label: faulty(i) ? `${t(languageNames[l.language])} !` : t(languageNames[l.language]),
        }))}
      />
      <TextField label={t('Letter title')} {...form.field(`letters.${at}.title`)} />
      <TextArea
        label={t('Letter')}
        hint={t('Filled in for each reader: {{marks}}', { marks: marks.join(' ') })}
        rows={12}
        {...form.field(`letters.${at}.body`)}
      />
    </>
  );
}
