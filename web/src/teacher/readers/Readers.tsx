import { DownloadSimple, Plus } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { dayOf, fm, percent, signed, strandName } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Buoy } from '../signals/Buoy';
import { signalName } from '../signals/signals';
import type { ReaderRow } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { AddReader } from './AddReader';
import { readerMatches } from './readerMatches';
import { RosterTabs } from './RosterTabs';
import { SetMark } from './SetMark';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { Range, RangeScale } from '../../ui/Measures';
import { ListPage, PageHead, Row } from '../../ui/Page';
import { Empty } from '../../ui/Show';
import { SearchField } from '../../ui/TextField';
import { ColumnsMenu, DataTableView, TableFoot } from '../../ui/table/DataTableView';
import { type Column, pickWords, useDataTable } from '../../ui/table/useDataTable';

const scale = { from: 0, to: 60, step: 20, width: 160 };

const columns: Column<ReaderRow>[] = [
  { key: 'name', name: phrase('Reader'), by: (r) => r.givenName, show: (r) => `${r.givenName} ${r.familyName}` },
  {
    key: 'depth',
    name: phrase('Depth'),
    num: true,
    by: (r) => r.depth,
    show: (r) => (
      <>
        {r.levelSet && <SetMark />}
        {fm(r.depth)}
      </>
    ),
  },
  {
    key: 'range',
    name: phrase('Range'),
    head: <RangeScale {...scale} label={t('Depth from {{from}} to {{to}} fathoms', scale)} />,
    show: (r) => (
      <Range {...scale} low={r.levelSet ? r.depth : r.low} mean={r.depth} high={r.levelSet ? r.depth : r.high} />
    ),
  },
  {
    key: 'six',
    name: phrase('Six weeks'),
    num: true,
    by: (r) => r.sixWeeks ?? -99,
    show: (r) => (r.sixWeeks == null ? '–' : signed(r.sixWeeks)),
  },
  { key: 'group', name: phrase('Group'), by: (r) => r.group ?? '', show: (r) => r.group ?? '–' },
  {
    key: 'first',
    name: phrase('First try'),
    num: true,
    by: (r) => r.firstTry ?? -1,
    show: (r) => (r.firstTry == null ? '–' : percent(r.firstTry)),
  },
  {
    key: 'last',
    name: phrase('Last read'),
    by: (r) => r.lastRead ?? '',
    show: (r) => (r.lastRead ? dayOf(r.lastRead) : '–'),
  },
  { key: 'signal', name: phrase('Signal'), by: (r) => -r.signals.length, show: (r) => <Signals of={r} /> },
];

function Signals({ of }: { of: ReaderRow }) {
  const first = of.signals[0];
  if (!first) return null;
  return (
    <span className="inline-flex items-center gap-1.5 text-sm">
      <Buoy kind={first.kind} />
      {first.strand ? t('{{strand}} missed', { strand: strandName(first.strand) }) : signalName(first.kind)}
      {of.signals.length > 1 && <span className="text-soft">+{of.signals.length - 1}</span>}
    </span>
  );
}

/** The readers' levels as a table: sort, filter, pick up, open. */
export default function Readers() {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const [search, setSearch] = useSearchParams();
  const [asked, setAsked] = useState('');
  const list = useDataTable({
    list: 'readers',
    columns,
    rows: data.readers,
    id: (r) => r.id,
    name: (r) => r.called,
    sort: { key: 'depth', down: false },
    asked,
    matches: readerMatches,
    current: search.get('reader'),
    open: (r) =>
      setSearch((s) => {
        s.set('reader', r.id);
        return s;
      }),
    picking: { has: (id) => tray.readers.includes(id), set: tray.pickReaders, ...pickWords() },
  });
  const add = () => setSearch({ add: '1' });
  return (
    <ListPage>
      <PageHead
        title={t('Readers')}
        beside={
          <>
            <RosterTabs classId={data.id} />
            <SearchField
              label={t('Filter by name, group or signal')}
              placeholder={t('Name, group or signal')}
              className="w-55 group-data-sheet/work:w-44"
              value={asked}
              set={setAsked}
            />
          </>
        }
      >
        <ColumnsMenu of={list} />
        <IconButton asChild label={t('Export CSV')}>
          <a href={`/api/classes/${data.id}/readers.csv`} download={`${data.name}.csv`}>
            <DownloadSimple size={20} aria-hidden />
          </a>
        </IconButton>
        {data.mayChangeRoster && (
          <Button onClick={add}>
            <Plus size={20} aria-hidden />
            {t('Add reader')}
          </Button>
        )}
      </PageHead>
      {data.readers.length === 0 ? (
        <Empty title={t('No readers yet')}>
          <p>{t('Readers of this class are listed here with their depth, group and last reading.')}</p>
          <Row>
            <Button asChild look="main">
              <Link to={`/class/${data.id}/readers/many`}>{t('Add many readers')}</Link>
            </Button>
            <Button onClick={add}>{t('Add one reader')}</Button>
          </Row>
        </Empty>
      ) : (
        <DataTableView
          of={list}
          label={t('Readers')}
          empty={
            <Empty title={t('No readers match')}>
              <p>{t('No reader, group or signal contains “{{asked}}”.', { asked })}</p>
              <Button onClick={() => setAsked('')}>{t('Clear filter')}</Button>
            </Empty>
          }
        />
      )}
      <TableFoot
        of={list}
        counted={(n, count) => t('{{n}} of {{count}} readers', { n, count })}
        picked={t('{{count}} in tray', { count: tray.readers.length })}
      />
      {search.get('add') && <AddReader data={data} close={() => setSearch({})} />}
    </ListPage>
  );
}
