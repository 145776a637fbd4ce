import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, sentences } from '../../shared/api';
import { useAllChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { phrase, say, t } from '../../shared/words';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { PageHead, ScrollPage } from '../../ui/Page';
import { Show } from '../../ui/Show';
import { NumberField, TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type View = Api<'ChartView'>;

/** The school's level chart: what each grade typically reads, and what it is called. */
export default function Chart() {
  const chart = useQuery({ queryKey: keys.school.chart, queryFn: () => ok(api.GET('/school/level-chart')) });
  return <Show query={chart}>{(c) => <Editor key={c.version} chart={c} />}</Show>;
}

function Editor({ chart }: { chart: View }) {
  const [rows, setRows] = useState(chart.rows);
  const [columns, setColumns] = useState(chart.ownColumns);
  const [error, setError] = useState<unknown>();
  const [effect, setEffect] = useState<Api<'ChartEffect'> | null>(null);
  const changed = useAllChanged();
  const body = { ownColumns: columns, rows, version: chart.version };
  const attempt = async (doIt: () => Promise<void>) => {
    try {
      await doIt();
      setError(undefined);
    } catch (problem) {
      setEffect(null);
      setError(problem);
    }
  };
  return (
    <ScrollPage>
      <PageHead
        title={t('Level chart')}
        beside={<p className="text-soft">{chart.usual ? t('default chart') : t('your school’s chart')}</p>}
      >
        <Button
          look="main"
          onClick={() =>
            void attempt(async () => setEffect(await ok(api.POST('/school/level-chart/effect', { body }))))
          }
        >
          {t('Preview changes…')}
        </Button>
      </PageHead>
      <p className="px-4 py-2">
        {t(
          phrase(
            'What readers typically read at the end of each grade, in fathoms, and other names for each ' +
              'grade. Add a column for your school’s labels; you can type them wherever a level is asked ' +
              'for.',
          ),
        )}
      </p>
      {error ? (
        <p className="text-overlay px-4 py-2 text-sm font-semibold" role="alert">
          {sentences(error)}
        </p>
      ) : null}
      <LevelRows rows={rows} columns={columns} setRows={setRows} setColumns={setColumns} />
      {effect && (
        <Dialog title={t('Preview changes')} close={() => setEffect(null)}>
          <ul className="[&>li]:border-line max-h-100 overflow-auto px-4 [&>li]:border-t [&>li]:py-0.75">
            {effect.sentences.map((s) => (
              <li key={say(s)}>{say(s)}</li>
            ))}
          </ul>
          <DialogFoot>
            <Button onClick={() => setEffect(null)}>{t('Cancel')}</Button>
            <Button
              look="main"
              onClick={() =>
                void attempt(async () => {
                  await ok(api.PUT('/school/level-chart', { body }));
                  setEffect(null);
                  toast.success(t('Saved level chart'));
                  await changed();
                })
              }
            >
              {t('Save level chart')}
            </Button>
          </DialogFoot>
        </Dialog>
      )}
    </ScrollPage>
  );
}

type Row = View['rows'][number];

/** The chart row by row, with the school's own labels in columns of their own. */
function LevelRows({
  rows,
  columns,
  setRows,
  setColumns,
}: {
  rows: Row[];
  columns: string[];
  setRows: (rows: Row[]) => void;
  setColumns: (columns: string[]) => void;
}) {
  const set = (i: number, change: Partial<Row>) => setRows(rows.map((r, n) => (n === i ? { ...r, ...change } : r)));
  const text = (i: number, key: 'label' | 'schoolYear' | 'ages', label: string) => (
    <TextField
      label={t('{{what}} of row {{n}}', { what: label, n: i + 1 })}
      bare
      className={key === 'label' ? 'w-20' : 'w-32'}
      value={sure(rows[i])[key]}
      set={(value) => set(i, { [key]: value })}
    />
  );
  const addColumn = (name: string) => {
    setColumns([...columns, name]);
    setRows(rows.map((r) => ({ ...r, own: [...r.own, ''] })));
  };
  const dropColumn = (c: number) => {
    setColumns(columns.filter((_, n) => n !== c));
    setRows(rows.map((r) => ({ ...r, own: r.own.filter((_, n) => n !== c) })));
  };
  return (
    <div
      className="border-ink relative min-h-0 overflow-auto border-t"
      tabIndex={0}
      role="region"
      aria-labelledby="title"
    >
      <Table>
        <TableHead>
          <tr>
            <Th>{t('Grade')}</Th>
            <Th>{t('School year')}</Th>
            <Th>{t('Ages')}</Th>
            <Th num>{t('Depth, fm')}</Th>
            <OwnHeads columns={columns} add={addColumn} drop={dropColumn} />
          </tr>
        </TableHead>
        <TableBody>
          {rows.map((r, i) => (
            <tr key={i}>
              <Td>{text(i, 'label', t('Grade'))}</Td>
              <Td>{text(i, 'schoolYear', t('School year'))}</Td>
              <Td>{text(i, 'ages', t('Ages'))}</Td>
              <Td num>
                <NumberField
                  label={t('Depth of grade {{grade}}', { grade: r.label })}
                  bare
                  boxClass="min-w-18"
                  step="0.5"
                  value={r.depth}
                  set={(value) => set(i, { depth: value })}
                />
              </Td>
              {columns.map((c, n) => (
                <Td key={n}>
                  <TextField
                    label={t('{{what}} of row {{n}}', { what: c, n: i + 1 })}
                    bare
                    maxLength={24}
                    value={r.own[n] ?? ''}
                    set={(value) => set(i, { own: columns.map((_, m) => (m === n ? value : (r.own[m] ?? ''))) })}
                  />
                </Td>
              ))}
              <Td />
            </tr>
          ))}
        </TableBody>
      </Table>
    </div>
  );
}

/** The school's own columns, and another one. */
function OwnHeads({
  columns,
  add,
  drop,
}: {
  columns: string[];
  add: (name: string) => void;
  drop: (at: number) => void;
}) {
  const [name, setName] = useState('');
  const addColumn = () => {
    add(name.trim());
    setName('');
  };
  return (
    <>
      {columns.map((c, n) => (
        <Th key={n}>
          {c}{' '}
          <Button
            look="plain"
            size="sm"
            square
            aria-label={t('Remove column {{name}}', { name: c })}
            onClick={() => drop(n)}
          >
            ×
          </Button>
        </Th>
      ))}
      <Th>
        <span className="flex flex-wrap items-center gap-2">
          <TextField
            label={t('New column')}
            bare
            className="w-56"
            placeholder={t('Own labels, such as “Step”')}
            maxLength={24}
            value={name}
            set={setName}
          />
          <Button size="sm" disabled={!name.trim() || columns.length >= 4} onClick={addColumn}>
            {t('Add column')}
          </Button>
        </span>
      </Th>
    </>
  );
}
