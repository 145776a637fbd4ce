import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { number, signed } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column, Sum } from '../../ui/table/useDataTable';
import { calledIn, type ClassData } from '../classQueries';
import { DepthRuler, Depths, firstTrySaid, StrandCells, Tries, weakestSaid } from './figures';
import { useReaderReport, type Report, type ReportRow, type Sums } from './reportQueries';
import { ReportPanel } from './ReportPanel';
import { spanWords } from './SpanPicker';
import type { Asked } from './span';

const inMinutes = (s: Sums) => number(s.seconds / 60);
const count = (n: number) => (n === 0 ? '–' : number(n));

const columnsFor = (name: (id: string) => string): Column<ReportRow>[] => [
  { key: 'reader', name: phrase('Reader'), by: (r) => name(r.readerId), show: (r) => name(r.readerId) },
  {
    key: 'readings',
    name: phrase('Readings'),
    num: true,
    by: (r) => r.sums.readings,
    show: (r) => count(r.sums.readings),
  },
  { key: 'words', name: phrase('Words'), num: true, by: (r) => r.sums.words, show: (r) => count(r.sums.words) },
  {
    key: 'minutes',
    name: phrase('Min'),
    num: true,
    by: (r) => r.sums.seconds,
    show: (r) => (r.sums.seconds > 0 ? inMinutes(r.sums) : '–'),
  },
  {
    key: 'quizzes',
    name: phrase('Quizzes'),
    num: true,
    by: (r) => r.sums.quizzes,
    show: (r) => count(r.sums.quizzes),
  },
  {
    key: 'first',
    name: phrase('First try'),
    num: true,
    by: (r) => r.sums.firstTry ?? -1,
    show: (r) => firstTrySaid(r.sums),
  },
  { key: 'tries', name: phrase('Tries'), show: (r) => <Tries s={r.sums} /> },
  { key: 'strands', name: phrase('Strands'), show: (r) => <StrandCells s={r.sums} /> },
  { key: 'weakest', name: phrase('Weakest'), show: (r) => weakestSaid(r.sums) },
  { key: 'depths', name: phrase('Texts and level in fm'), by: (r) => r.level, show: (r) => <Depths row={r} /> },
  {
    key: 'change',
    name: phrase('Change'),
    num: true,
    by: (r) => r.change ?? -99,
    show: (r) => (r.change === null ? '–' : signed(r.change)),
  },
  {
    key: 'openings',
    name: phrase('Openings'),
    num: true,
    apart: true,
    by: (r) => r.sums.openings,
    show: (r) => count(r.sums.openings),
  },
  {
    key: 'outside',
    name: phrase('Elsewhere'),
    num: true,
    apart: true,
    by: (r) => r.sums.outsideMinutes,
    show: (r) =>
      r.sums.outside === 0
        ? '–'
        : t('{{times}} times, {{n}} min', { times: r.sums.outside, n: number(r.sums.outsideMinutes) }),
  },
];

/** Readers of the class over the span, the sum of all and of the span before in the head. */
export function ReaderReport({ data, asked }: { data: ClassData; asked: Asked }) {
  const report = useReaderReport(data.id, asked);
  return <Show query={report}>{(r) => <Shown r={r} data={data} asked={asked} />}</Show>;
}

function Shown({ r, data, asked }: { r: Report; data: ClassData; asked: Asked }) {
  const [search, setSearch] = useSearchParams();
  const name = useMemo(() => {
    const called = calledIn(data);
    return (id: string) => called(id, '');
  }, [data]);
  const columns = useMemo(() => columnsFor(name), [name]);
  const focus = search.get('focus');
  const row = r.rows.find((x) => x.readerId === focus);
  const look = (id: string | null) =>
    setSearch((s) => {
      if (id) s.set('focus', id);
      else s.delete('focus');
      return s;
    });
  if (r.rows.length === 0)
    return (
      <Empty title={t('No readers to report on')}>
        <p>{t('Readings and answers of this class appear here.')}</p>
      </Empty>
    );
  return (
    <div className={`grid min-h-0 grow ${row ? 'lg:grid-cols-[minmax(0,1fr)_336px]' : 'grid-cols-[minmax(0,1fr)]'}`}>
      <div className="flex min-h-0 min-w-0 flex-col">
        <DataList
          list="report"
          label={t('Readers')}
          columns={columns}
          rows={r.rows}
          id={(x) => x.readerId}
          name={(x) => name(x.readerId)}
          open={(x) => look(x.readerId === focus ? null : x.readerId)}
          current={focus}
          sort={{ key: 'depths', down: false }}
          sums={sumsOf(r)}
          pinned
          counted={(_, all) => t('{{count}} readers', { count: all })}
        />
      </div>
      {row && <ReportPanel key={row.readerId} r={r} row={row} data={data} asked={asked} close={() => look(null)} />}
    </div>
  );
}

/** The class in sum, and the span before. */
function sumsOf(r: Report): Sum[] {
  const one = (s: Sums, span: { from: string; to: string }, change: Report['change'], soft: boolean): Sum => ({
    name: spanWords(span),
    soft,
    show: (key) =>
      ({
        readings: count(s.readings),
        words: count(s.words),
        minutes: inMinutes(s),
        quizzes: count(s.quizzes),
        first: firstTrySaid(s),
        tries: <Tries s={s} />,
        strands: <StrandCells s={s} />,
        weakest: weakestSaid(s),
        depths: soft ? null : <DepthRuler />,
        change: change && `${signed(change.mean)} ± ${change.half.toFixed(1)}`,
        openings: count(s.openings),
        outside: s.outside === 0 ? '–' : t('{{n}} min', { n: number(s.outsideMinutes) }),
      })[key],
  });
  return [
    one(r.sum, r.spans.span, r.change, false),
    ...(r.before && r.spans.before ? [one(r.before, r.spans.before, null, true)] : []),
  ];
}
