import { useMemo } from 'react';
import { forecast } from '../../shared/forecast';
import { fm, signed } from '../../shared/format';
import { type Phrase, phrase, t } from '../../shared/words';
import type { ClassData, ReaderRow } from '../classQueries';
import { SetMark } from '../readers/SetMark';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';

const columnsFor = (texts: ClassData['texts']): Column<ReaderRow>[] => [
  {
    key: 'reader',
    name: phrase('Reader'),
    by: (r) => `${r.givenName} ${r.familyName}`,
    show: (r) => `${r.givenName} ${r.familyName}`,
  },
  { key: 'depth', name: phrase('Depth'), num: true, by: (r) => r.depth, show: (r) => fm(r.depth) },
  {
    key: 'range',
    name: phrase('90% range'),
    by: (r) => r.sd,
    show: (r) => (r.levelSet ? <SetMark /> : `${fm(r.low)}–${fm(r.high)}`),
  },
  { key: 'reach', name: phrase('Reach'), by: (r) => r.reachFrom, show: (r) => `${fm(r.reachFrom)}–${fm(r.reachTo)}` },
  {
    key: 'weeks',
    name: phrase('Six weeks'),
    num: true,
    by: (r) => r.sixWeeks ?? -99,
    show: (r) => (r.sixWeeks == null ? '–' : signed(r.sixWeeks)),
  },
  { key: 'group', name: phrase('Group'), by: (r) => r.group ?? '', show: (r) => r.group ?? '–' },
  ...texts.map((x) => ({
    key: x.textId,
    // A title is data, and no catalogue has it: it is said as it is.
    name: `${x.title}, ${fm(x.depth)} fm` as Phrase,
    num: true,
    by: (r: ReaderRow) => forecast(r.depth, x.depth),
    show: (r: ReaderRow) => t('{{n}}%', { n: forecast(r.depth, x.depth) }),
  })),
];

/** The same facts as the chart, as rows. */
export function ChartTable({
  readers,
  texts,
  open,
}: {
  readers: ReaderRow[];
  texts: ClassData['texts'];
  open: (id: string) => void;
}) {
  const columns = useMemo(() => columnsFor(texts), [texts]);
  return (
    <DataList
      list="chart"
      label={t('Readers and texts as a table')}
      columns={columns}
      rows={readers}
      id={(r) => r.id}
      name={(r) => r.called}
      open={(r) => open(r.id)}
      sort={{ key: 'depth', down: false }}
      counted={(_, count) => t('{{count}} readers', { count })}
      pinned
    />
  );
}
