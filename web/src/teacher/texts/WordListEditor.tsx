import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { z } from 'zod';
import { api, ok, sentence } from '../../shared/api';
import { line, useFields } from '../../shared/forms';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { FieldRow } from '../../ui/Field';
import { Form, FormFault, Submit } from '../../ui/Form';
import { Row } from '../../ui/Page';
import { SearchField, TextField } from '../../ui/TextField';
import { WordRows, type WordRow } from './WordRows';

export interface WordListDraft {
  id: string;
  revision: number;
  name: string;
  mine: boolean;
  words: WordRow[];
}

export const freshWordList = (): WordListDraft => ({
  id: crypto.randomUUID(),
  revision: 0,
  name: '',
  mine: true,
  words: [],
});

export const saveWordList = ({ id, revision, name, mine, words }: WordListDraft) =>
  ok(
    api.PUT('/word-lists/{wordListId}', {
      params: { path: { wordListId: id } },
      body: { revision, name, mine, words },
    }),
  );

const schema = z.object({
  name: line(80, phrase('Enter a name of 80 letters or fewer.')),
  shared: z.boolean(),
  words: z.array(z.custom<WordRow>()),
});

/** A word list's name, who sees it, and its words. */
export function WordListEditor({
  draft,
  close,
  saved,
}: {
  draft: WordListDraft;
  close: () => void;
  saved: () => void;
}) {
  const form = useFields({
    schema,
    start: { name: draft.name, shared: !draft.mine, words: draft.words },
    send: async ({ name, shared, words }) => {
      await saveWordList({ ...draft, name, mine: !shared, words });
      saved();
    },
  });
  const { words } = form.values;
  // The words of a text may come after others were typed.
  const add = (more: WordRow[]) => {
    const now = form.latest().words;
    const there = new Set(now.map((word) => word.text.toLowerCase()));
    form.set('words', [...now, ...more.filter((word) => !there.has(word.text.toLowerCase()))]);
  };
  return (
    <Dialog title={draft.revision === 0 ? t('New word list') : t('Edit word list')} close={close} wide>
      <Form of={form}>
        <FieldRow>
          <TextField label={t('Name')} autoFocus {...form.field('name')} />
          <Checkbox {...form.tick('shared')}>{t('Share with my school')}</Checkbox>
        </FieldRow>
        <FromText add={add} />
        <WordRows words={words} set={(to) => form.set('words', to)} error={form.faultIn('words')} />
        <FormFault of={form} />
        <DialogFoot>
          <span className="text-soft text-sm">
            {t('{{count}} words, practised at most ten at a time', { count: words.length })}
          </span>
          <span className="grow" />
          <Button onClick={close}>{t('Cancel')}</Button>
          <Submit of={form}>{t('Save word list')}</Submit>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}

/** Takes over the words of a text in the library. */
function FromText({ add }: { add: (words: WordRow[]) => void }) {
  const [typed, setTyped] = useState('');
  const found = useQuery({
    queryKey: keys.library.forWordLists(typed),
    enabled: typed.trim().length > 1,
    queryFn: () => ok(api.GET('/library', { params: { query: { wordsToKnow: true, q: typed } } })),
  });
  // Emptied at once: what is typed while the words are on their way stays.
  const take = (id: string) => {
    setTyped('');
    void ok(api.GET('/texts/{textId}', { params: { path: { textId: id } } })).then(
      (x) => add(x.words),
      (e: unknown) => toast.error(sentence(e)),
    );
  };
  return (
    <div className="grid gap-1">
      <SearchField label={t('Add words from a text')} placeholder={t('Find texts')} value={typed} set={setTyped} />
      {typed.trim().length > 1 && found.data && (
        <Row>
          {found.data.rows.length === 0
            ? t('No texts match')
            : found.data.rows.slice(0, 5).map((r) => (
                <Button size="sm" key={r.id} onClick={() => take(r.id)}>
                  {t('{{title}}: {{count}} words', { title: r.title, count: r.wordsToKnow })}
                </Button>
              ))}
        </Row>
      )}
    </div>
  );
}
