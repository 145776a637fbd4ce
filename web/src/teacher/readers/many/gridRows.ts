import type { Api } from '../../../shared/api';
import { detailNames, readerDetails, type ReaderDetail } from '../../../shared/readerDetails';
import { sure } from '../../../shared/sure';
import { phrase, type Phrase } from '../../../shared/words';

export type GridRow = Api<'ListRowView'>;
export type Checked = Api<'CheckedListView'>;
type OwnField = 'givenName' | 'familyName' | 'grade' | 'level' | 'class' | 'guardianMail' | 'sourceId';
export type FieldKey = OwnField | ReaderDetail;

export const fields: { key: FieldKey; name: Phrase; width: number }[] = [
  { key: 'givenName', name: phrase('Given name'), width: 150 },
  { key: 'familyName', name: phrase('Family name'), width: 150 },
  { key: 'grade', name: phrase('Grade'), width: 80 },
  { key: 'level', name: phrase('Level'), width: 90 },
  { key: 'class', name: phrase('Class'), width: 110 },
  { key: 'guardianMail', name: phrase('Guardian’s email'), width: 190 },
  ...readerDetails.map((key) => ({ key, name: detailNames[key], width: 120 })),
  { key: 'sourceId', name: phrase('Id'), width: 90 },
];

export const emptyRow: GridRow = {
  sourceId: null,
  givenName: null,
  familyName: null,
  grade: null,
  level: null,
  class: null,
  guardianMail: null,
  details: {},
  sameAs: null,
};
const isDetail = (key: FieldKey): key is ReaderDetail => key in detailNames;
export const cellOf = (r: GridRow, key: FieldKey) => (isDetail(key) ? r.details?.[key] : r[key]) ?? '';
export const withCell = (r: GridRow, key: FieldKey, value: string): GridRow =>
  isDetail(key) ? { ...r, details: { ...r.details, [key]: value } } : { ...r, [key]: value || null };
export const isEmpty = (r: GridRow) => fields.every((f) => !cellOf(r, f.key));

/** The rows with some left free at the end to type into. */
export const padded = (rows: GridRow[], free = 5) => {
  const used = rows.slice(0, rows.findLastIndex((r) => !isEmpty(r)) + 1);
  return [...used, ...Array.from({ length: Math.max(free, 12 - used.length) }, () => emptyRow)];
};

/** Cells that were copied from a spreadsheet, put in from one cell on. A single cell is left to the field itself. */
export function pasted(rows: GridRow[], atRow: number, atField: number, text: string): GridRow[] | null {
  const lines = text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((l) => l.split('\t'));
  if (lines.length === 1 && sure(lines[0]).length === 1) return null;
  const next = [...rows];
  lines.forEach((cells, i) => {
    let row: GridRow = { ...(next[atRow + i] ?? emptyRow), sameAs: null };
    cells.forEach((cell, c) => {
      const field = fields[atField + c];
      if (field) row = withCell(row, field.key, cell.trim());
    });
    next[atRow + i] = row;
  });
  return padded(next);
}
