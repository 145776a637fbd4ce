import { useVirtualizer } from '@tanstack/react-virtual';
import { cx } from 'class-variance-authority';
import { useRef, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { Api } from '../../../shared/api';
import { gradeName } from '../../../shared/format';
import { phrase, type Phrase, say, t } from '../../../shared/words';
import { cellOf, fields, isEmpty, pasted, withCell, type Checked, type FieldKey, type GridRow } from './gridRows';
import { sure } from '../../../shared/sure';
import { Button } from '../../../ui/Button';
import { CellField } from '../../../ui/table/CellField';

const fates: Record<Api<'RowFate'>, Phrase> = {
  New: phrase('new'),
  Joins: phrase('joins'),
  Changed: phrase('changed'),
  Unchanged: phrase('unchanged'),
  Question: phrase('same child?'),
  Stopped: phrase('to fix'),
  Empty: phrase(''),
};
const rowHeight = 34;

/** The grid itself: cells to type into, with what is wrong said under the row. Long lists are drawn only where they are looked at. */
export function Grid({
  rows,
  checked,
  change,
}: {
  rows: GridRow[];
  checked: Checked | undefined;
  change: (rows: GridRow[]) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const said = (i: number) => (checked && !isEmpty(sure(rows[i])) ? checked.rows[i] : undefined);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 12,
  });
  const set = (i: number, key: FieldKey, value: string) =>
    change(
      rows.map((r, n) =>
        n === i
          ? { ...withCell(r, key, value), sameAs: key === 'givenName' || key === 'familyName' ? null : r.sameAs }
          : r,
      ),
    );
  const answer = (i: number, sameAs: string) => change(rows.map((r, n) => (n === i ? { ...r, sameAs } : r)));
  const drop = (i: number) => change(rows.filter((_, n) => n !== i));
  const onPaste = (i: number, c: number) => (e: ClipboardEvent) => {
    const next = pasted(rows, i, c, e.clipboardData.getData('text/plain'));
    if (next) {
      e.preventDefault();
      change(next);
    }
  };
  const onKey = (i: number, c: number) => (e: KeyboardEvent<HTMLInputElement>) => {
    const by = { ArrowDown: 1, Enter: 1, ArrowUp: -1 }[e.key];
    const to = i + (by ?? 0);
    if (by === undefined || to < 0 || to >= rows.length) return;
    e.preventDefault();
    virtual.scrollToIndex(to);
    requestAnimationFrame(() => frame.current?.querySelector<HTMLInputElement>(`[data-cell="${to}.${c}"]`)?.focus());
  };
  const template = `44px ${fields.map((f) => `minmax(${f.width}px, ${f.width}fr)`).join(' ')} 110px 36px`;
  return (
    <div
      className="border-ink min-h-0 flex-1 overflow-auto border-t"
      ref={frame}
      role="table"
      aria-label={t('Readers to add')}
      aria-rowcount={rows.length + 1}
    >
      <Head template={template} />
      <div className="relative min-w-280" role="rowgroup" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map((item) => {
          const i = item.index,
            row = sure(rows[i]),
            result = said(i);
          return (
            <div
              key={i}
              data-index={i}
              ref={virtual.measureElement}
              role="row"
              aria-rowindex={i + 2}
              className={cx(
                'border-line absolute inset-x-0 top-0 border-b',
                result?.fate === 'Stopped' || result?.fate === 'Question' ? 'bg-sand' : 'bg-paper',
              )}
              style={{ transform: `translateY(${item.start}px)` }}
            >
              <Cells
                i={i}
                row={row}
                result={result}
                template={template}
                set={(key, value) => set(i, key, value)}
                drop={() => drop(i)}
                onPaste={onPaste}
                onKey={onKey}
              />
              {result && (result.problems.length > 0 || result.twins.length > 0) && (
                <About result={result} answer={(sameAs) => answer(i, sameAs)} />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

type Result = Checked['rows'][number];

function Head({ template }: { template: string }) {
  return (
    <div
      className={cx(
        'border-ink bg-sand sticky top-0 z-2 grid h-8.5 min-w-280 items-center border-b text-sm',
        'font-semibold *:px-2',
      )}
      role="row"
      style={{ gridTemplateColumns: template }}
    >
      <span role="columnheader">
        <span className="sr-only">{t('Row')}</span>
      </span>
      {fields.map((f) => (
        <span key={f.key} role="columnheader">
          {t(f.name)}
        </span>
      ))}
      <span role="columnheader">{t('What happens')}</span>
      <span role="columnheader">
        <span className="sr-only">{t('Remove')}</span>
      </span>
    </div>
  );
}

function Cells({
  i,
  row,
  result,
  template,
  set,
  drop,
  onPaste,
  onKey,
}: {
  i: number;
  row: GridRow;
  result: Result | undefined;
  template: string;
  set: (key: FieldKey, value: string) => void;
  drop: () => void;
  onPaste: (i: number, c: number) => (e: ClipboardEvent) => void;
  onKey: (i: number, c: number) => (e: KeyboardEvent<HTMLInputElement>) => void;
}) {
  const problem = (key: string) => result?.problems.find((p) => p.column === key);
  return (
    <div
      className="*:border-line grid min-h-8.25 items-stretch *:flex *:items-center *:border-r"
      style={{ gridTemplateColumns: template }}
    >
      <span role="cell" className="text-soft justify-end pr-2 text-sm">
        {i + 1}
      </span>
      {fields.map((f, c) => (
        <span role="cell" key={f.key}>
          <CellField
            label={t('{{field}}, row {{n}}', { field: t(f.name), n: i + 1 })}
            wrong={problem(f.key) !== undefined}
            data-cell={`${i}.${c}`}
            aria-invalid={problem(f.key)?.stops || undefined}
            maxLength={500}
            value={cellOf(row, f.key)}
            onPaste={onPaste(i, c)}
            onKeyDown={onKey(i, c)}
            set={(value) => set(f.key, value)}
          />
        </span>
      ))}
      <span role="cell" className="px-2 text-sm font-semibold">
        {result && t(fates[result.fate] ?? result.fate)}
      </span>
      <span role="cell">
        {!isEmpty(row) && (
          <Button look="plain" size="sm" square aria-label={t('Remove row {{n}}', { n: i + 1 })} onClick={drop}>
            ×
          </Button>
        )}
      </span>
    </div>
  );
}

const anotherChild = '00000000-0000-0000-0000-000000000000';

/** What is wrong with a row, or whom it may mean. */
function About({ result, answer }: { result: Result; answer: (sameAs: string) => void }) {
  return (
    <p className="flex flex-wrap items-center gap-2 pt-0.75 pr-2 pb-1.5 pl-13 text-sm" role="cell">
      {result.problems.map((p) => say(p.reason)).join(' ')}
      {result.fate === 'Question' && (
        <>
          {result.twins.map((twin) => (
            <Button size="sm" key={twin.readerId} onClick={() => answer(twin.readerId)}>
              {t('Yes, {{name}} of grade {{grade}}, {{where}}', {
                name: twin.name,
                grade: gradeName(twin.grade),
                where: twin.where,
              })}
            </Button>
          ))}
          <Button size="sm" onClick={() => answer(anotherChild)}>
            {t('No, another child')}
          </Button>
        </>
      )}
    </p>
  );
}
