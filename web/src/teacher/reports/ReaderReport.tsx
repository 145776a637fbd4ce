import { useMemo, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { number, signed } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column, Sum } from '../../ui/table/useDataTable';
import { calledIn, type ClassData } from '../classQueries';
import { answersAddress } from './answersOf';
import { DepthRuler, Depths, firstTrySaid, StrandCells, Tries, weakestSaid } from './figures';
import { logAddress, type LogPart } from './logOf';
import { useReaderReport, type Report, type ReportRow, type Sums } from './reportQueries';
import { panelOf, ReportPanel } from './ReportPanel';
import { spanWords } from './SpanPicker';
import { movedTo, type Asked, type Span } from './span';

const inMinutes = (s: Sums) => number(s.seconds / 60);
const count = (n: number) => (n === 0 ? '–' : number(n));

type To = (id: string, part: LogPart) => string;
type ToTries = (id: string, strand?: WeakStrand) => string;
type ToLevel = (id: string) => string;
type WeakStrand = NonNullable<Sums['weakest']>['strand'];
/** A figure that opens the lines it is made of. */
const Opens = ({ to, children }: { to: string; children: ReactNode }) =>
  children === '–' ? children : <Link to={to}>{children}</Link>;

/** The weakest strand opens its first tries. */
const Weakest = ({ s, to }: { s: Sums; to: (strand: WeakStrand) => string }) =>
  s.weakest ? <Link to={to(s.weakest.strand)}>{weakestSaid(s)}</Link> : weakestSaid(s);

const columnsFor = (name: (id: string) => string, to: To, tries: ToTries, level: ToLevel): Column<ReportRow>[] => [
  { key: 'reader', name: phrase('Reader'), by: (r) => name(r.readerId), show: (r) => name(r.readerId) },
  {
    key: 'readings',
    name: phrase('Readings'),
    num: true,
    by: (r) => r.sums.readings,
    show: (r) => <Opens to={to(r.readerId, 'full')}>{count(r.sums.readings)}</Opens>,
  },
  {
    key: 'words',
    name: phrase('Words'),
    num: true,
    by: (r) => r.sums.words,
    show: (r) => <Opens to={to(r.readerId, 'full')}>{count(r.sums.words)}</Opens>,
  },
  {
    key: 'minutes',
    name: phrase('Min'),
    num: true,
    by: (r) => r.sums.seconds,
    show: (r) => <Opens to={to(r.readerId, 'full')}>{r.sums.seconds > 0 ? inMinutes(r.sums) : '–'}</Opens>,
  },
  {
    key: 'quizzes',
    name: phrase('Quizzes'),
    num: true,
    by: (r) => r.sums.quizzes,
    show: (r) => <Opens to={to(r.readerId, 'quizzes')}>{count(r.sums.quizzes)}</Opens>,
  },
  {
    key: 'first',
    name: phrase('First try'),
    num: true,
    by: (r) => r.sums.firstTry ?? -1,
    show: (r) => <Opens to={to(r.readerId, 'quizzes')}>{firstTrySaid(r.sums)}</Opens>,
  },
  { key: 'tries', name: phrase('Tries'), show: (r) => <Tries s={r.sums} /> },
  {
    key: 'strands',
    name: phrase('Strands'),
    show: (r) =>
      r.sums.strands.length > 0 ? (
        <Link to={tries(r.readerId)}>
          <StrandCells s={r.sums} />
        </Link>
      ) : (
        <StrandCells s={r.sums} />
      ),
  },
  {
    key: 'weakest',
    name: phrase('Weakest'),
    show: (r) => <Weakest s={r.sums} to={(strand) => tries(r.readerId, strand)} />,
  },
  { key: 'depths', name: phrase('Texts and level in fm'), by: (r) => r.level, show: (r) => <Depths row={r} /> },
  {
    key: 'change',
    name: phrase('Change'),
    num: true,
    by: (r) => r.change ?? -99,
    show: (r) => <Opens to={level(r.readerId)}>{r.change === null ? '–' : signed(r.change)}</Opens>,
  },
  {
    key: 'openings',
    name: phrase('Openings'),
    num: true,
    apart: true,
    by: (r) => r.sums.openings,
    show: (r) => <Opens to={to(r.readerId, 'openings')}>{count(r.sums.openings)}</Opens>,
  },
  {
    key: 'outside',
    name: phrase('Elsewhere'),
    num: true,
    apart: true,
    by: (r) => r.sums.outsideMinutes,
    show: (r) => (
      <Opens to={to(r.readerId, 'elsewhere')}>
        {r.sums.outside === 0
          ? '–'
          : t('{{times}} times, {{n}} min', { times: r.sums.outside, n: number(r.sums.outsideMinutes) })}
      </Opens>
    ),
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
  const columns = useMemo(
    () =>
      columnsFor(
        name,
        (reader, part) => logAddress(data.id, asked, { reader, part }),
        (reader, strand) => answersAddress(data.id, asked, { reader, strand }),
        (reader) => panelOf(search, reader, 'level'),
      ),
    [name, data.id, asked, search],
  );
  const focus = search.get('focus');
  const row = r.rows.find((x) => x.readerId === focus);
  const look = (id: string | null) =>
    setSearch((s) => {
      if (id) s.set('focus', id);
      else s.delete('focus');
      s.delete('panel');
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
          sums={sumsOf(r, data.id, asked)}
          pinned
          counted={(_, all) => t('{{count}} readers', { count: all })}
        />
      </div>
      {row && <ReportPanel key={row.readerId} r={r} row={row} data={data} asked={asked} close={() => look(null)} />}
    </div>
  );
}

/** The class in sum, and the span before. */
function sumsOf(r: Report, classId: string, asked: Asked): Sum[] {
  const one = (s: Sums, span: Span, change: Report['change'], soft: boolean): Sum => {
    const days: Asked = soft ? movedTo(asked, span) : asked;
    const opens = (part: LogPart, said: ReactNode) => <Opens to={logAddress(classId, days, { part })}>{said}</Opens>;
    return {
      name: spanWords(span),
      soft,
      show: (key) =>
        ({
          readings: opens('full', count(s.readings)),
          words: opens('full', count(s.words)),
          minutes: opens('full', inMinutes(s)),
          quizzes: opens('quizzes', count(s.quizzes)),
          first: opens('quizzes', firstTrySaid(s)),
          tries: <Tries s={s} />,
          strands: (
            <Link to={answersAddress(classId, days, {})}>
              <StrandCells s={s} />
            </Link>
          ),
          weakest: <Weakest s={s} to={(strand) => answersAddress(classId, days, { strand })} />,
          depths: soft ? null : <DepthRuler />,
          change: change && `${signed(change.mean)} ± ${change.half.toFixed(1)}`,
          openings: opens('openings', count(s.openings)),
          outside: opens('elsewhere', s.outside === 0 ? '–' : t('{{n}} min', { n: number(s.outsideMinutes) })),
        })[key],
    };
  };
  return [
    one(r.sum, r.spans.span, r.change, false),
    ...(r.before && r.spans.before ? [one(r.before, r.spans.before, null, true)] : []),
  ];
}
