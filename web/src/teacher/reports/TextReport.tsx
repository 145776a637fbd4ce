import { useMemo } from 'react';
import { Link } from 'react-router';
import { dayOf, fm, minutes, number, percent } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';
import type { ClassData } from '../classQueries';
import { logAddress, type LogPart } from './logOf';
import { useTextReport, type TextRead } from './reportQueries';
import type { Asked } from './span';

const depth = (x: TextRead) =>
  x.shallowest === x.deepest
    ? fm(x.shallowest)
    : t('{{from}} to {{to}}', { from: fm(x.shallowest), to: fm(x.deepest) });

const columnsFor = (lines: (x: TextRead, part: LogPart) => string): Column<TextRead>[] => [
  { key: 'text', name: phrase('Text'), by: (x) => x.title, show: (x) => x.title },
  {
    key: 'kind',
    name: phrase('Kind'),
    by: (x) => Number(x.fiction),
    show: (x) => (x.fiction ? t('story') : t('facts')),
  },
  { key: 'depth', name: phrase('Depth in fm'), num: true, by: (x) => x.shallowest, show: depth },
  { key: 'readers', name: phrase('Readers'), num: true, by: (x) => x.readers, show: (x) => x.readers || '–' },
  {
    key: 'readings',
    name: phrase('Readings'),
    num: true,
    by: (x) => x.readings,
    show: (x) => (x.readings ? <Link to={lines(x, 'full')}>{x.readings}</Link> : '–'),
  },
  {
    key: 'openings',
    name: phrase('Openings'),
    num: true,
    by: (x) => x.openings,
    show: (x) => (x.openings ? <Link to={lines(x, 'openings')}>{x.openings}</Link> : '–'),
  },
  { key: 'words', name: phrase('Words'), num: true, by: (x) => x.words, show: (x) => number(x.words) },
  {
    key: 'time',
    name: phrase('Time each'),
    num: true,
    by: (x) => (x.readings > 0 ? x.seconds / x.readings : 0),
    show: (x) => (x.readings > 0 ? minutes(x.seconds / x.readings) : '–'),
  },
  {
    key: 'score',
    name: phrase('First try'),
    num: true,
    by: (x) => x.score ?? -1,
    show: (x) => (x.score === null ? '–' : <Link to={lines(x, 'quizzes')}>{percent(x.score)}</Link>),
  },
  {
    key: 'forecast',
    name: phrase('Forecast'),
    num: true,
    by: (x) => x.forecast ?? -1,
    show: (x) => (x.forecast === null ? '–' : percent(x.forecast)),
  },
  { key: 'last', name: phrase('Last read'), by: (x) => x.last, show: (x) => dayOf(x.last) },
];

/** Texts that were read in the span, by how many. */
export function TextReport({ data, asked }: { data: ClassData; asked: Asked }) {
  const texts = useTextReport(data.id, asked);
  const columns = useMemo(
    () => columnsFor((x, part) => logAddress(data.id, asked, { text: x.textId, part })),
    [data.id, asked],
  );
  const to = useMemo(() => (x: TextRead) => `/class/${data.id}/texts/${x.textId}`, [data.id]);
  return (
    <Show query={texts}>
      {(r) => (
        <DataList
          list="report-texts"
          label={t('Texts')}
          columns={columns}
          rows={r.rows}
          id={(x) => x.textId}
          name={(x) => x.title}
          to={to}
          sort={{ key: 'readings', down: true }}
          empty={<Empty title={t('No texts read in these days')} />}
          counted={(_, count) => t('{{count}} texts', { count })}
        />
      )}
    </Show>
  );
}
