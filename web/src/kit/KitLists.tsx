import { useState } from 'react';
import { z } from 'zod';
import { useFields } from '../shared/forms';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { Form, FormFoot } from '../ui/Form';
import { Row } from '../ui/Page';
import { Empty } from '../ui/Show';
import { ColumnsMenu, DataTableView, TableFoot } from '../ui/table/DataTableView';
import { useDataTable, usePicks, type Column } from '../ui/table/useDataTable';
import { SearchField, TextField } from '../ui/TextField';
import { phrase } from '../shared/words';
import { Part } from './Part';

export function Windows() {
  const [open, setOpen] = useState(false);
  return (
    <Part title="Windows">
      <Row>
        <Button onClick={() => setOpen(true)}>Open a window…</Button>
      </Row>
      {open && <Rename close={() => setOpen(false)} />}
    </Part>
  );
}

const renameSchema = z.object({ name: z.string().min(3, { error: () => 'Use 3 letters or more.' }) });

/** A form in a window: Save with fewer letters shows what is wrong, with more what the server refuses. */
function Rename({ close }: { close: () => void }) {
  const form = useFields({
    schema: renameSchema,
    start: { name: '' },
    send: () => Promise.reject(new Error('The server says no. What you typed is still here.')),
  });
  return (
    <Dialog title="Rename group" close={close}>
      <Form of={form}>
        <TextField label="Name" {...form.field('name')} />
        <FormFoot of={form} close={close}>
          Save
        </FormFoot>
      </Form>
    </Dialog>
  );
}

type Line = { id: string; name: string; depth: number };
const lines: Line[] = Array.from({ length: 300 }, (_, i) => ({
  id: `r${i}`,
  name: `Reader ${i + 1}`,
  depth: 18 + ((i * 7) % 30),
}));
const columns: Column<Line>[] = [
  { key: 'name', name: phrase('Reader'), by: (r) => r.name, show: (r) => r.name },
  { key: 'depth', name: phrase('Depth'), num: true, by: (r) => r.depth, show: (r) => r.depth.toFixed(1) },
  { key: 'band', name: phrase('Group'), show: (r) => (r.depth > 30 ? 'Mill' : 'Kelp') },
];

export function Lists() {
  const [asked, setAsked] = useState('');
  const picks = usePicks();
  const list = useDataTable({
    list: 'kit',
    columns,
    rows: lines,
    id: (r) => r.id,
    name: (r) => r.name,
    open: () => undefined,
    asked,
    matches: (r, words) => r.name.includes(words),
    picking: picks.picking,
  });
  return (
    <Part title="Lists">
      <Row>
        <SearchField label="Filter by name" value={asked} set={setAsked} />
        <ColumnsMenu of={list} />
      </Row>
      <div className="flex h-75 flex-col">
        <DataTableView of={list} label="Three hundred readers" empty={<Empty title="No readers match" />} />
        <TableFoot of={list} counted={(n, all) => `${n} of ${all} readers`} picked={`${picks.picked.length} picked`} />
      </div>
    </Part>
  );
}
