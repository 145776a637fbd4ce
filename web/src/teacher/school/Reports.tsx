import { useParams, useSearchParams } from 'react-router';
import { gradeName } from '../../shared/format';
import { phrase, t, type Phrase } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { SegmentLinks, Segments } from '../../ui/Segments';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column, Sum } from '../../ui/table/useDataTable';
import { useTitle } from '../../ui/useTitle';
import { SpanPicker } from '../reports/SpanPicker';
import { addressOf, askedOf, type Asked } from '../reports/span';
import { LibraryUse } from './LibraryUse';
import { MeanAxis, MeanPicture } from './MeanPicture';
import {
  meanSaid,
  measureMeans,
  measureNames,
  measureOf,
  measures,
  scaleOf,
  useSchoolReport,
  type By,
  type Group,
  type Mean,
  type Measure,
  type SchoolReport,
} from './schoolReport';

type View = By | 'Library';
const views: readonly { path: string; view: View; name: Phrase }[] = [
  { path: '', view: 'Grade', name: phrase('By grade') },
  { path: '/classes', view: 'Class', name: phrase('By class') },
  { path: '/library', view: 'Library', name: phrase('Library') },
];
const measureIn = (search: URLSearchParams): Measure => measures.find((m) => m === search.get('of')) ?? 'Words';

/** The whole school over a span: grades and classes against the span before and the rest, and the library's use. */
export default function SchoolReports() {
  const [search, setSearch] = useSearchParams();
  const asked = askedOf(search, 'Term');
  const { view: path = '' } = useParams();
  const view = views.find((v) => v.path === `/${path}`)?.view ?? 'Grade';
  const measure = measureIn(search);
  const report = useSchoolReport(asked, view === 'Library' ? 'Grade' : view);
  const look = (next: Measure) =>
    setSearch((before) => {
      before.set('of', next);
      return before;
    });
  useTitle(t('Reports'));
  return (
    <ListPage>
      <PageHead
        title={t('Reports')}
        beside={
          <SegmentLinks
            label={t('Views of the reports')}
            links={views.map((v) => ({ to: `/school/reports${v.path}?${search.toString()}`, name: t(v.name) }))}
          />
        }
      >
        <SpanPicker
          asked={asked}
          set={(next: Asked) => setSearch(addressOf(next, search))}
          spans={report.data?.spans}
        />
        <Button onClick={() => print()}>{t('Print')}</Button>
      </PageHead>
      {view !== 'Library' && (
        <div className="px-4 pb-2">
          <Segments
            label={t('Figure')}
            value={measure}
            set={look}
            options={measures.map((value) => ({ value, label: t(measureNames[value]) }))}
          />
        </div>
      )}
      <Show query={report}>
        {(r) =>
          view === 'Library' ? <LibraryUse r={r} /> : <Groups r={r} measure={measure} byGrade={view === 'Grade'} />
        }
      </Show>
    </ListPage>
  );
}

const nameOf = (g: Group) => g.className ?? t('Grade {{grade}}', { grade: gradeName(g.grade ?? 0) });
const orderOf = (g: Group) => g.className ?? g.grade ?? 0;
const of = (g: Group, measure: Measure) => measureOf(g.figures, measure);

const columnsFor = (measure: Measure, scale: { from: number; to: number }, all: Mean | null): Column<Group>[] => [
  { key: 'group', name: phrase('Readers of'), by: orderOf, show: nameOf },
  { key: 'readers', name: phrase('Readers'), num: true, by: (g) => g.figures.readers, show: (g) => g.figures.readers },
  {
    key: 'now',
    name: measureNames[measure],
    num: true,
    by: (g) => of(g, measure)?.now?.mean ?? -1e9,
    show: (g) => (g.figures.withheld ? t('too few to tell') : meanSaid(measure, of(g, measure)?.now)),
  },
  {
    key: 'change',
    name: phrase('Since the days before'),
    num: true,
    by: (g) => of(g, measure)?.change?.mean ?? -1e9,
    show: (g) => meanSaid(measure, of(g, measure)?.change, true),
  },
  {
    key: 'rest',
    name: phrase('Against all others'),
    num: true,
    by: (g) => of(g, measure)?.againstRest?.mean ?? -1e9,
    show: (g) => meanSaid(measure, of(g, measure)?.againstRest, true),
  },
  {
    key: 'picture',
    name: phrase('Mean and its 90% range'),
    head: <MeanAxis measure={measure} scale={scale} />,
    show: (g) => (
      <MeanPicture
        measure={measure}
        scale={scale}
        now={of(g, measure)?.now ?? null}
        before={of(g, measure)?.before ?? null}
        all={all}
      />
    ),
  },
];

function Groups({ r, measure, byGrade }: { r: SchoolReport; measure: Measure; byGrade: boolean }) {
  if (r.groups.length === 0)
    return (
      <Empty title={t('No readers in these days')}>
        <p>{t('Grades and classes appear here once readers are enrolled.')}</p>
      </Empty>
    );
  const means = r.groups.flatMap((g) => {
    const m = of(g, measure);
    return [m?.now, m?.before].filter((x) => x != null);
  });
  const all = measureOf(r.all, measure)?.now ?? null;
  const scale = scaleOf(measure, all ? [...means, all] : means);
  const sum: Sum = {
    name: t('Whole school'),
    show: (key) =>
      ({
        readers: r.all.readers,
        now: meanSaid(measure, all),
        change: meanSaid(measure, measureOf(r.all, measure)?.change, true),
        picture: (
          <MeanPicture
            measure={measure}
            scale={scale}
            now={all}
            before={measureOf(r.all, measure)?.before ?? null}
            all={all}
          />
        ),
      })[key],
  };
  return (
    <>
      <DataList
        key={measure}
        list="school-report"
        label={byGrade ? t('Grades') : t('Classes')}
        columns={columnsFor(measure, scale, all)}
        rows={r.groups}
        id={nameOf}
        name={nameOf}
        sort={{ key: 'group', down: false }}
        sums={[sum]}
        counted={(_, count) => (byGrade ? t('{{count}} grades', { count }) : t('{{count}} classes', { count }))}
      />
      <p className="text-soft px-4 py-2 text-sm">
        {t(measureMeans[measure])}{' '}
        {t('Point: mean. Line: its 90% range. Open point: the days before. Upright line: the whole school.')}{' '}
        {t('Fewer than five readers are not shown, nor what would give them away.')}
      </p>
    </>
  );
}
