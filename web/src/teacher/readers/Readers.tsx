import { CaretDown, CaretUp, DownloadSimple, MagnifyingGlass, Plus } from '@phosphor-icons/react';
import { useRef, useState, type MouseEvent } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { dayOf, fm, percent, signed, strandName } from '../../shared/format';
import { t } from '../../shared/words';
import { Empty } from '../../shared/Whole';
import { Buoy } from '../chart/Buoy';
import { signalName } from '../chart/signals';
import type { ReaderRow } from '../classQueries';
import { rowKeys, useColumns } from '../frame/columns';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { AddReader } from './AddReader';
import { readerMatches } from './readerMatches';
import { RosterTabs } from './RosterTabs';
import { SetMark } from './SetMark';
import { sure } from '../../shared/sure';
import { compare } from '../../shared/compare';

type Column = { key: string; name: string; num?: boolean; by: (r: ReaderRow) => string | number };
const columns: Column[] = [
  { key: 'name', name: 'Reader', by: (r) => r.givenName },
  { key: 'depth', name: 'Depth', num: true, by: (r) => r.depth },
  { key: 'six', name: 'Six weeks', num: true, by: (r) => r.sixWeeks ?? -99 },
  { key: 'group', name: 'Group', by: (r) => r.group ?? '' },
  { key: 'first', name: 'First try', num: true, by: (r) => r.firstTry ?? -1 },
  { key: 'last', name: 'Last read', by: (r) => r.lastRead ?? '' },
  { key: 'signal', name: 'Signal', by: (r) => -r.signals.length },
];

/** The readers' levels as a table: sort, filter, pick up, open. */
export default function Readers() {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const [search, setSearch] = useSearchParams();
  const [asked, setAsked] = useState('');
  const [sort, setSort] = useState<{ key: string; down: boolean }>({ key: 'depth', down: false });
  const list = useColumns('readers', columns);
  const last = useRef<string | null>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  const by = sure(columns.find((c) => c.key === sort.key)).by;
  const rows = data.readers
    .filter((r) => readerMatches(r, asked))
    .sort((a, b) => compare(by(a), by(b)) * (sort.down ? -1 : 1));
  const picked = rows.filter((r) => tray.readers.includes(r.id)).length;
  const open = (id: string) =>
    setSearch((s) => {
      s.set('reader', id);
      return s;
    });

  const pick = (r: ReaderRow, range: boolean) => {
    const from = rows.findIndex((x) => x.id === last.current),
      to = rows.findIndex((x) => x.id === r.id);
    if (range && from >= 0)
      tray.pickReaders(
        rows.slice(Math.min(from, to), Math.max(from, to) + 1).map((x) => x.id),
        true,
      );
    else tray.toggleReader(r.id);
    last.current = r.id;
  };
  const heading = (c: Column) => (
    <th
      key={c.key}
      className={c.num ? 'num' : undefined}
      aria-sort={sort.key === c.key ? (sort.down ? 'descending' : 'ascending') : undefined}
    >
      <button onClick={() => setSort({ key: c.key, down: sort.key === c.key ? !sort.down : false })}>
        {t(c.name)}
        {sort.key === c.key && (sort.down ? <CaretDown size={14} aria-hidden /> : <CaretUp size={14} aria-hidden />)}
      </button>
    </th>
  );
  return (
    <section className="roster" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Readers')}</h1>
        <RosterTabs classId={data.id} />
        <div className="find">
          <MagnifyingGlass className="icon" size={16} aria-hidden />
          <input
            type="search"
            aria-label={t('Filter by name, group or signal')}
            placeholder={t('Name, group or signal')}
            value={asked}
            onChange={(e) => setAsked(e.target.value)}
          />
        </div>
        <span className="grow" />
        <span className="wideonly">{list.menu}</span>
        <a className="btn wideonly" href={`/api/classes/${data.id}/readers.csv`} download={`${data.name}.csv`}>
          <DownloadSimple size={20} aria-hidden />
          {t('CSV')}
        </a>
        {data.mayChangeRoster && (
          <button className="btn" onClick={() => setSearch({ add: '1' })}>
            <Plus size={20} aria-hidden />
            {t('Add a reader')}
          </button>
        )}
      </div>
      {data.readers.length === 0 ? (
        <Empty title={t('No readers yet')}>
          <p>{t('Readers of this class are listed here with their depth, group and last reading.')}</p>
          <p className="row">
            <Link className="btn main" to={`/class/${data.id}/readers/many`}>
              {t('Add many readers')}
            </Link>
            <button className="btn" onClick={() => setSearch({ add: '1' })}>
              {t('Add one reader')}
            </button>
          </p>
        </Empty>
      ) : (
        <div className="scroll">
          <table>
            <thead>
              <tr>
                <th>
                  <span className="tick">
                    <input
                      type="checkbox"
                      aria-label={t('Pick up all shown')}
                      checked={picked > 0 && picked === rows.length}
                      ref={(box) => {
                        if (box) box.indeterminate = picked > 0 && picked < rows.length;
                      }}
                      onChange={() =>
                        tray.pickReaders(
                          rows.map((r) => r.id),
                          picked < rows.length,
                        )
                      }
                    />
                  </span>
                </th>
                {list.shown.filter((c) => c.key === 'name' || c.key === 'depth').map(heading)}
                <th className="rangehead">
                  <span>{t('Range')}</span>
                </th>
                {list.shown.filter((c) => c.key !== 'name' && c.key !== 'depth').map(heading)}
              </tr>
            </thead>
            <tbody ref={body}>
              {rows.map((r, i) => {
                const on = tray.readers.includes(r.id);
                return (
                  <tr
                    key={r.id}
                    tabIndex={i === 0 ? 0 : -1}
                    className={on ? 'on' : undefined}
                    aria-current={search.get('reader') === r.id || undefined}
                    onKeyDown={(e) =>
                      rowKeys(
                        e,
                        (range) => pick(r, range),
                        () => open(r.id),
                      )
                    }
                    onClick={(e: MouseEvent) => {
                      if (e.shiftKey) pick(r, true);
                    }}
                  >
                    <td>
                      <span className="tick">
                        <input
                          type="checkbox"
                          aria-label={t('Pick up {{name}}', { name: r.givenName })}
                          checked={on}
                          onChange={() => undefined}
                          onClick={(e) => {
                            e.stopPropagation();
                            pick(r, e.shiftKey);
                          }}
                        />
                      </span>
                    </td>
                    <th scope="row">
                      <button className="link" onClick={() => open(r.id)}>
                        {r.givenName} {r.familyName}
                      </button>
                    </th>
                    {list.has('depth') && (
                      <td className="num">
                        {r.levelSet && <SetMark />}
                        {fm(r.depth)}
                      </td>
                    )}
                    <td>
                      <Range low={r.levelSet ? r.depth : r.low} mean={r.depth} high={r.levelSet ? r.depth : r.high} />
                    </td>
                    {list.has('six') && (
                      <td className="num">
                        {r.sixWeeks == null ? '–' : signed(r.sixWeeks)}{' '}
                        {r.sixWeeks != null && <Trend by={r.sixWeeks} />}
                      </td>
                    )}
                    {list.has('group') && <td>{r.group ?? '–'}</td>}
                    {list.has('first') && <td className="num">{r.firstTry == null ? '–' : percent(r.firstTry)}</td>}
                    {list.has('last') && <td>{r.lastRead ? dayOf(r.lastRead) : '–'}</td>}
                    {list.has('signal') && (
                      <td>
                        {r.signals[0] && (
                          <span className="sig">
                            <Buoy kind={r.signals[0].kind} />
                            {r.signals[0].strand
                              ? t('{{strand}} missed', { strand: strandName(r.signals[0].strand) })
                              : signalName(r.signals[0].kind)}
                            {r.signals.length > 1 && <span className="soft">+{r.signals.length - 1}</span>}
                          </span>
                        )}
                      </td>
                    )}
                  </tr>
                );
              })}
            </tbody>
          </table>
          {rows.length === 0 && (
            <Empty title={t('Nobody here matches')}>
              <p>{t('No reader, group or signal has “{{asked}}” in its name.', { asked })}</p>
              <button className="btn" onClick={() => setAsked('')}>
                {t('Show everybody')}
              </button>
            </Empty>
          )}
        </div>
      )}
      <div className="foot">
        <span>
          <b>{t('{{n}} of {{all}}', { n: rows.length, all: data.readers.length })}</b> {t('readers')}
        </span>
        <b>{t('{{count}} picked up', { count: tray.readers.length })}</b>
        <span>{t('↑ ↓ move, Space picks up, Enter opens')}</span>
      </div>
      {search.get('add') && <AddReader data={data} close={() => setSearch({})} />}
    </section>
  );
}

function Range({ low, mean, high }: { low: number; mean: number; high: number }) {
  const x = (d: number) => 4 + (Math.max(0, Math.min(60, d)) / 60) * 152;
  return (
    <svg className="range" width="160" height="16" viewBox="0 0 160 16" preserveAspectRatio="none" aria-hidden>
      <path d="M4 8H156" stroke="var(--line)" />
      {[0, 20, 40, 60].map((d) => (
        <path key={d} d={`M${x(d)} 5v6`} stroke="var(--line)" />
      ))}
      <rect
        x={x(low)}
        y="3"
        width={Math.max(2, x(high) - x(low))}
        height="10"
        fill="var(--depth-3)"
        stroke="var(--depth-5)"
        strokeWidth=".5"
      />
      <circle cx={x(mean)} cy="8" r="3" fill="var(--ink)" />
    </svg>
  );
}

export function Trend({ by }: { by: number }) {
  return (
    <svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden style={{ verticalAlign: -2 }}>
      <path
        transform={`rotate(${Math.max(-60, Math.min(60, by * 24))})`}
        d="M-5 0H5M1.500 -3.500L5 0L1.500 3.500"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.500"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
