import { useQueries } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { api, ok } from '../../shared/api';
import { fm, number, signed, strandName } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Menu, MenuItem } from '../../ui/Menu';
import { Flag } from '../../ui/Shapes';
import { TableScroll, Td, Th } from '../../ui/table/Table';
import { calledIn, type ClassData } from '../classQueries';
import { firstTrySaid } from './figures';
import { askedIn, type Report, type ReportRow } from './reportQueries';
import { Trails } from './Trails';

const most = 6;

/** Two to six readers side by side: trails on one axis, figures of the span, strands. */
export function SideBySide({ r, first, data }: { r: Report; first: string; data: ClassData }) {
  const called = calledIn(data);
  const name = (id: string) => called(id, '');
  const [ids, setIds] = useState(() => [first, ...nearest(r, first)]);
  const rows = ids.flatMap((id) => r.rows.find((x) => x.readerId === id) ?? []);
  const trails = useQueries({
    queries: ids.map((id) => ({
      queryKey: keys.reader.one(id),
      queryFn: () => ok(api.GET('/readers/{readerId}', { params: { path: { readerId: id } } })),
    })),
  });
  return (
    <div className="grid gap-3 px-4 py-2.5">
      <ul aria-label={t('Readers side by side')} className="flex flex-wrap gap-1.5">
        {ids.map((id) => (
          <li key={id}>
            <Flag
              chosen={id === first}
              remove={id === first ? undefined : () => setIds(ids.filter((x) => x !== id))}
              removeLabel={t('Remove {{name}}', { name: name(id) })}
            >
              {name(id)}
            </Flag>
          </li>
        ))}
        {ids.length < most && (
          <li>
            <Menu label={t('Add…')} size="sm">
              {r.rows
                .filter((x) => !ids.includes(x.readerId))
                .map((x) => (
                  <MenuItem key={x.readerId} onSelect={() => setIds([...ids, x.readerId])}>
                    {name(x.readerId)}
                  </MenuItem>
                ))}
            </Menu>
          </li>
        )}
      </ul>
      <Trails
        of={trails.flatMap((q) => (q.data ? [{ id: q.data.id, name: name(q.data.id), trail: q.data.trail }] : []))}
        first={first}
        since={r.spans.span.from}
      />
      <TableScroll label={t('Figures side by side')} className="text-sm">
        <thead>
          <tr>
            <Th />
            {rows.map((x) => (
              <Th key={x.readerId}>{name(x.readerId)}</Th>
            ))}
          </tr>
        </thead>
        <tbody>
          {figures.map(([label, show]) => (
            <tr key={label()}>
              <Th scope="row">{label()}</Th>
              {rows.map((x) => (
                <Td key={x.readerId}>{show(x)}</Td>
              ))}
            </tr>
          ))}
          {strandsOf(rows).map((strand) => (
            <tr key={strand}>
              <Th scope="row">{strandName(strand)}</Th>
              {rows.map((x) => (
                <Td key={x.readerId} className={cx(x.sums.weakest?.strand === strand && 'font-bold')}>
                  {strandSaid(x, strand)}
                </Td>
              ))}
            </tr>
          ))}
        </tbody>
      </TableScroll>
      <p className="text-soft text-sm">{t('Strands: right at the first try in these days. Bold: the weakest.')}</p>
    </div>
  );
}

const figures: [() => string, (x: ReportRow) => string][] = [
  [() => t('Level'), (x) => `${fm(x.level)} ± ${fm(1.645 * x.levelSd)}`],
  [() => t('Change'), (x) => (x.change === null ? '–' : signed(x.change))],
  [() => t('Readings'), (x) => number(x.sums.readings)],
  [() => t('Words'), (x) => number(x.sums.words)],
  [() => t('First try'), (x) => firstTrySaid(x.sums)],
];

/** The two whose levels lie nearest, to begin with. */
const nearest = (r: Report, id: string) => {
  const level = r.rows.find((x) => x.readerId === id)?.level ?? 0;
  return r.rows
    .filter((x) => x.readerId !== id)
    .sort((a, b) => Math.abs(a.level - level) - Math.abs(b.level - level))
    .slice(0, 2)
    .map((x) => x.readerId);
};

const strandsOf = (rows: ReportRow[]) => [...new Set(rows.flatMap((x) => x.sums.strands.map((s) => s.strand)))];

function strandSaid(x: ReportRow, strand: ReportRow['sums']['strands'][number]['strand']) {
  const s = x.sums.strands.find((o) => o.strand === strand);
  return s ? t('{{n}} of {{of}}', { n: s.atOnce, of: askedIn(s) }) : '–';
}
