import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { z } from 'zod';
import { type Api, api, ok, sentence } from '../../shared/api';
import { line, useFields } from '../../shared/forms';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import { fields, type Ask } from './useLibrary';
import { Dialog } from '../../ui/Dialog';
import { Menu, MenuItem, MenuLabel, MenuLine } from '../../ui/Menu';
import { Form, FormFoot } from '../../ui/Form';
import { TextField } from '../../ui/TextField';

type Saved = Api<'SavedSearch'>;

/** Searches that were kept under a name. */
export function Searches({ ask }: { ask: Ask }) {
  const saved = useQuery({ queryKey: keys.searches, queryFn: () => ok(api.GET('/library/searches')) });
  const [, setParams] = useSearchParams();
  const client = useQueryClient();
  const [naming, setNaming] = useState(false);
  const rows = saved.data ?? [];
  const open = (s: Saved) =>
    setParams((now) => {
      for (const f of fields) now.delete(f);
      new URLSearchParams(s.query).forEach((value, name) => now.set(name, value));
      return now;
    });
  const forget = (s: Saved) =>
    void ok(api.DELETE('/library/searches/{searchId}', { params: { path: { searchId: s.id } } })).then(
      () => {
        toast.success(t('Deleted search {{name}}', { name: s.name }), {
          action: {
            label: t('Undo'),
            onClick: () =>
              void ok(api.POST('/library/searches', { body: { name: s.name, query: s.query } })).then(() =>
                client.invalidateQueries({ queryKey: keys.searches }),
              ),
          },
        });
        return client.invalidateQueries({ queryKey: keys.searches });
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <>
      <Menu label={rows.length > 0 ? t('Saved searches ({{n}})', { n: rows.length }) : t('Saved searches')}>
        {rows.map((s) => (
          <MenuItem key={s.id} onSelect={() => open(s)}>
            {s.name}
          </MenuItem>
        ))}
        {rows.length === 0 && <MenuLabel>{t('No saved searches yet. Filter the list, then save it.')}</MenuLabel>}
        <MenuLine />
        <MenuItem disabled={!ask.text} onSelect={() => setNaming(true)}>
          {t('Save search…')}
        </MenuItem>
        {rows
          .filter((s) => s.query === ask.text)
          .map((s) => (
            <MenuItem key={s.id} onSelect={() => forget(s)}>
              {t('Delete {{name}}', { name: s.name })}
            </MenuItem>
          ))}
      </Menu>
      {naming && (
        <Keep
          query={ask.text}
          close={() => {
            setNaming(false);
            void client.invalidateQueries({ queryKey: keys.searches });
          }}
        />
      )}
    </>
  );
}

const schema = z.object({ name: line(40, phrase('Enter a name of {{0}} letters or fewer.'), { 0: 40 }) });

function Keep({ query, close }: { query: string; close: () => void }) {
  const form = useFields({
    schema,
    start: { name: '' },
    send: async ({ name }) => {
      await ok(api.POST('/library/searches', { body: { name, query } }));
      toast.success(t('Saved search {{name}}', { name }));
      close();
    },
  });
  return (
    <Dialog title={t('Save search')} close={close}>
      <Form of={form}>
        <TextField label={t('Name')} autoFocus {...form.field('name')} />
        <FormFoot of={form} close={close}>
          {t('Save')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
