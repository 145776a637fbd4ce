import type { ReactNode } from 'react';
import type { Api } from '../../shared/api';
import { say, t } from '../../shared/words';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Mend = Api<'MendRow'>;
type Line = Api<'ProblemLine'>;

/** The file, line and column a cell's key stands for. */
export const keyOf = (key: string) => {
  const [file, line, column] = key.split('|');
  return { file: sure(file), line: Number(line), column: sure(column) };
};

interface Fixes {
  preview: Api<'ImportPreview'>;
  cells: Record<string, string>;
  setCells: (cells: Record<string, string>) => void;
  skipped: Mend[];
  setSkipped: (skipped: Mend[]) => void;
  children: ReactNode;
}

/** Rows that are wrong, each with its cell to fix, and what is said about others. */
export function ImportProblems({ preview: p, cells, setCells, skipped, setSkipped, children }: Fixes) {
  const heads = [t('{{count}} to fix', { count: p.stopped }), t('{{count}} notes', { count: p.noted })];
  const counts = [p.stopped, p.noted];
  return (
    <section aria-labelledby="problems">
      <h2 id="problems">{heads.filter((_, i) => sure(counts[i]) > 0).join(', ')}</h2>
      <div
        className="border-ink border-line relative mx-4 max-h-75 min-h-0 overflow-auto border border-t"
        tabIndex={0}
        role="region"
        aria-labelledby="problems"
      >
        <Table>
          <TableHead>
            <tr>
              <Th>{t('Where')}</Th>
              <Th>{t('Column')}</Th>
              <Th>{t('Value in file')}</Th>
              <Th>{t('Reason')}</Th>
              <Th>
                <span className="sr-only">{t('Skip')}</span>
              </Th>
            </tr>
          </TableHead>
          <TableBody>
            {p.problems.map((x, i) => (
              <Row
                key={i}
                line={x}
                value={cells[`${x.file}|${x.line}|${x.column}`] ?? x.value}
                out={skipped.some((d) => d.file === x.file && d.line === x.line)}
                fix={(value) => setCells({ ...cells, [`${x.file}|${x.line}|${x.column}`]: value })}
                skip={() => setSkipped([...skipped, { file: x.file, line: x.line, column: null, value: null }])}
              />
            ))}
          </TableBody>
        </Table>
      </div>
      {children}
    </section>
  );
}

interface RowProps {
  line: Line;
  value: string;
  out: boolean;
  fix: (value: string) => void;
  skip: () => void;
}

function Row({ line: x, value, out, fix, skip }: RowProps) {
  const where = t('{{file}}, line {{line}}', { file: x.file, line: x.line });
  return (
    <tr className={x.stops ? undefined : 'text-soft'}>
      <Td>{where}</Td>
      <Td>{x.column}</Td>
      <Td>
        {x.stops && !out ? (
          <TextField
            label={t('{{column}} in line {{line}}', { column: x.column, line: x.line })}
            bare
            value={value}
            set={fix}
          />
        ) : (
          x.value
        )}
      </Td>
      <Td className="py-1 whitespace-normal">{say(x.reason)}</Td>
      <Td>
        {x.stops && (
          <Button size="sm" disabled={out} onClick={skip} aria-label={t('Skip {{where}}', { where })}>
            {out ? t('Skipped') : t('Skip')}
          </Button>
        )}
      </Td>
    </tr>
  );
}
