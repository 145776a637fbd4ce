import { cx } from 'class-variance-authority';
import { useMemo } from 'react';
import { useOutletContext } from 'react-router';
import { lieOf } from '../../shared/forecast';
import { phrase, type Phrase, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { Filters } from './Filters';
import { LibraryHead } from './LibraryHead';
import { reachTint, RulerHead, type RulerReaders, VersionRuler } from './VersionRuler';
import { useAsk, useLibrary, type Ask, type LibraryPage, type LibraryRow } from './useLibrary';
import { Button } from '../../ui/Button';
import { ListPage, Notice } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { DataTableView, TableFoot } from '../../ui/table/DataTableView';
import { type Column, pickWords, useDataTable } from '../../ui/table/useDataTable';

function whose(x: LibraryRow) {
  if (x.whose === 'Shipped') return '';
  if (x.whose !== 'Mine') return t('my school’s');
  return x.mine ? t('mine, private') : t('mine');
}

function used(x: LibraryRow) {
  if (x.readHere > 0) return t('{{count}} readings', { count: x.readHere });
  return x.used > 0 ? t('assigned {{count}} times', { count: x.used }) : t('not yet');
}

const depthsOf = (x: LibraryRow) => x.versions.map((v) => v.depth);

/** The list's columns; whom a text fits depends on who is asked about. */
const columnsFor = (fits: Phrase, readers: RulerReaders, tint: string | undefined): Column<LibraryRow>[] => [
  {
    key: 'text',
    name: phrase('Text'),
    wrap: true,
    show: (x) => x.title,
    beside: (x) => (
      <>
        <span className="text-soft font-normal"> {whose(x)}</span>
        <p className="text-soft max-w-52 truncate text-sm font-normal" title={x.blurb}>
          {x.blurb}
        </p>
      </>
    ),
  },
  {
    key: 'kind',
    name: phrase('Kind'),
    show: (x) => (
      <>
        {x.kind}
        <br />
        <span className="text-soft">{x.fiction ? t('fiction') : t('non-fiction')}</span>
      </>
    ),
  },
  {
    key: 'depth',
    name: phrase('Depth, fm'),
    head: <RulerHead />,
    show: (x) => <VersionRuler versions={x.versions} readers={readers} tint={tint} />,
  },
  { key: 'words', name: phrase('Words'), num: true, show: (x) => x.versions.map((v) => v.words).join(' · ') },
  {
    key: 'minutes',
    name: phrase('Minutes'),
    num: true,
    apart: true,
    show: (x) => (x.minutes < 1 ? '< 1' : Math.round(x.minutes)),
  },
  { key: 'questions', name: phrase('Questions'), num: true, show: (x) => x.questions || '–' },
  {
    key: 'fits',
    name: fits,
    show: (x) =>
      t('{{n}} of {{of}}', { n: lieOf(readers.depths, depthsOf(x), readers.cuts)[''], of: readers.depths.length }),
  },
  {
    key: 'use',
    name: phrase('Use'),
    show: used,
  },
];
/** The library: find a text by words, level, kind or length, and see whom it fits. */
export default function Texts() {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const ask = useAsk();
  const inTray = data.readers.filter((r) => tray.readers.includes(r.id)).map((r) => r.id);
  // The same list as long as the same readers are in it.
  const trayKey = inTray.join(' ');
  const picked = useMemo(() => (trayKey ? trayKey.split(' ') : null), [trayKey]);
  const found = useLibrary(data.id, inTray, ask.text);
  const first = found.data?.pages[0];
  const fits = picked ? phrase('Fit for tray') : phrase('Fit for class');
  const columns = useMemo(() => {
    const those = picked ? data.readers.filter((r) => picked.includes(r.id)) : data.readers;
    const readers = { depths: those.map((r) => r.depth), cuts: { zoneLow: data.zoneLow, zoneHigh: data.zoneHigh } };
    return columnsFor(fits, readers, reachTint(readers));
  }, [fits, picked, data.readers, data.zoneLow, data.zoneHigh]);
  const rows = useMemo(() => (found.data?.pages ?? []).flatMap((p) => p.rows), [found.data]);
  const list = useDataTable({
    list: 'texts',
    columns,
    rows,
    id: (x) => x.id,
    name: (x) => x.title,
    to: (x) => `/class/${data.id}/texts/${x.id}`,
    picking: {
      has: (id) => tray.texts.includes(id),
      set: (ids, on) => ids.filter((id) => tray.texts.includes(id) !== on).forEach(tray.toggleText),
      ...pickWords(),
    },
  });
  return (
    <ListPage>
      <LibraryHead classId={data.id} ask={ask} of={list} />
      <Show query={{ data: first, error: found.error, refetch: found.refetch }}>
        {(page) => (
          <>
            <div
              className={cx(
                'border-ink grid min-h-0 flex-1 border-t max-lg:grid-cols-1',
                'lg:grid-cols-[220px_minmax(0,1fr)]',
              )}
            >
              <Filters ask={ask} facets={page.facets} data={data} />
              <div className="flex min-h-0 flex-col" aria-busy={found.isFetching}>
                <Near page={page} any={rows.length > 0} />
                <DataTableView of={list} label={t('Texts')} empty={<None ask={ask} />} />
              </div>
            </div>
            <TableFoot
              of={list}
              counted={(n) => t('{{n}} of {{count}} texts', { n, count: page.all })}
              picked={t('{{count}} in tray', { count: tray.texts.length })}
            >
              {found.hasNextPage && (
                <Button size="sm" disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
                  {t('Show {{count}} more', { count: Math.min(50, page.all - rows.length) })}
                </Button>
              )}
            </TableFoot>
          </>
        )}
      </Show>
    </ListPage>
  );
}
/** What was found in place of what was asked for. */
function Near({ page, any }: { page: LibraryPage; any: boolean }) {
  return (
    <>
      {page.partly && any && (
        <Notice kind="action" role="status">
          {t('No text has all of these words. These have most of them.')}
        </Notice>
      )}
      {page.instead.length > 0 && (
        <Notice kind="action" role="status">
          {page.instead.map((i) => t('No text has “{{asked}}”. These have “{{instead}}”.', i)).join(' ')}
        </Notice>
      )}
    </>
  );
}

const None = ({ ask }: { ask: Ask }) => (
  <Empty title={t('No texts match')}>
    <p>{t('Try another word, or fewer filters.')}</p>
    <Button
      onClick={() => {
        ask.put({ q: '' });
        ask.clear();
      }}
    >
      {t('Clear filters')}
    </Button>
  </Empty>
);
