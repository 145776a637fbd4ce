import { z } from 'zod';
import type { Api } from '../../../shared/api';
import { line, useFields } from '../../../shared/forms';
import { named, phrase, t } from '../../../shared/words';
import type { ReaderRow } from '../../classQueries';
import { readerMatches } from '../readerMatches';
import { Checkbox, Radios } from '../../../ui/Checkbox';
import { Dialog } from '../../../ui/Dialog';
import { FieldSet } from '../../../ui/Field';
import { Form, FormFoot } from '../../../ui/Form';
import { TextField } from '../../../ui/TextField';
import { ListMark, marks } from './ListMark';

type List = Api<'ReaderListView'>;

const schema = z.object({
  name: line(40, phrase('Enter a list name of 40 letters or fewer.')),
  mark: z.string(),
  note: z.string(),
  asked: z.string(),
  readerIds: z.array(z.string()),
});

/** A list's name and symbol, and who is in it: by hand, or by a filter. */
export function ListDialog({
  list,
  readers,
  close,
  save,
}: {
  list: List;
  readers: ReaderRow[];
  close: () => void;
  save: (l: List) => Promise<unknown>;
}) {
  const form = useFields({
    schema,
    start: { ...list, asked: list.filter?.asked ?? '' },
    send: async ({ asked, ...typed }) => {
      await save({ ...list, ...typed, filter: list.filter && { asked } });
      close();
    },
  });
  const { mark, asked, readerIds } = form.values;
  return (
    <Dialog title={list.name ? t('Edit {{name}}', { name: list.name }) : t('New list')} close={close}>
      <Form of={form}>
        <TextField label={t('Name')} autoFocus {...form.field('name')} />
        <FieldSet legend={t('Symbol')} framed>
          <Radios
            label={t('Symbol')}
            value={mark}
            set={(to) => form.set('mark', to)}
            options={marks.map((m) => ({
              value: m,
              label: (
                <span className="inline-flex items-center gap-1.5">
                  <ListMark name={m} />
                  {named(m)}
                </span>
              ),
            }))}
          />
        </FieldSet>
        <TextField label={t('Note')} maxLength={500} {...form.field('note')} />
        {list.filter ? (
          <TextField
            label={t('Include readers matching')}
            hint={t(
              phrase(
                '{{count}} readers now. Use a name, group or signal, such as “nothing read”. The list ' +
                  'updates itself.',
              ),
              { count: readers.filter((r) => readerMatches(r, asked)).length },
            )}
            maxLength={100}
            {...form.field('asked')}
          />
        ) : (
          <Members readers={readers} chosen={readerIds} set={(ids) => form.set('readerIds', ids)} />
        )}
        <FormFoot of={form} close={close}>
          {t('Save list')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}

function Members({ readers, chosen, set }: { readers: ReaderRow[]; chosen: string[]; set: (ids: string[]) => void }) {
  return (
    <FieldSet
      legend={t('{{count}} readers', { count: chosen.length })}
      framed
      className="max-h-55 grid-cols-2 overflow-auto"
    >
      {readers.map((r) => (
        <Checkbox
          key={r.id}
          checked={chosen.includes(r.id)}
          set={(on) => set(on ? [...chosen, r.id] : chosen.filter((id) => id !== r.id))}
        >
          {r.givenName} {r.familyName}
        </Checkbox>
      ))}
    </FieldSet>
  );
}
