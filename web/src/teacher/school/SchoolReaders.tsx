import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Printer } from '@phosphor-icons/react';
import { DropdownMenu } from 'radix-ui';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, fm } from '../../shared/format';
import { kindName } from '../../shared/Secret';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { depthWords } from '../readers/SetMark';
import { useColumns } from '../frame/columns';
import { Menu } from '../frame/Menu';
import { ReaderActions } from './ReaderActions';
import { sure } from '../../shared/sure';
import { compare } from '../../shared/compare';

export type SchoolReader = Api<'SchoolReader'>;
type Column = {
  key: string;
  name: string;
  width: string;
  of: (r: SchoolReader) => string;
  by: (r: SchoolReader) => string | number;
};

const columns: Column[] = [
  {
    key: 'name',
    name: 'Reader',
    width: 'minmax(180px, 1.6fr)',
    of: (r) => `${r.givenName} ${r.familyName}`,
    by: (r) => `${r.givenName} ${r.familyName}`.toLowerCase(),
  },
  {
    key: 'grade',
    name: 'Grade',
    width: '70px',
    of: (r) => (r.grade === 0 ? 'K' : String(r.grade)),
    by: (r) => r.grade,
  },
  {
    key: 'classes',
    name: 'Classes',
    width: 'minmax(120px, 1fr)',
    of: (r) => (r.leftSchool ? t('has left') : r.classes || t('none')),
    by: (r) => r.classes,
  },
  {
    key: 'depth',
    name: 'Depth',
    width: '80px',
    of: (r) => depthWords(r, fm(r.depth)),
    by: (r) => r.depth,
  },
  { key: 'user', name: 'User name', width: 'minmax(110px, 1fr)', of: (r) => r.userName, by: (r) => r.userName },
  { key: 'kind', name: 'Signs in with', width: '120px', of: (r) => kindName(r.secretKind), by: (r) => r.secretKind },
  {
    key: 'last',
    name: 'Last signed in',
    width: '120px',
    of: (r) => (r.signedInAt ? dayOf(r.signedInAt) : t('never')),
    by: (r) => r.signedInAt ?? '',
  },
  { key: 'guardians', name: 'Guardians', width: '90px', of: (r) => String(r.guardians || '–'), by: (r) => r.guardians },
];
/** Everybody at the school. Filters and sorts at every keystroke, and draws only the rows that are looked at. */
export default function SchoolReaders() {
  const readers = useQuery({ queryKey: keys.school.readers, queryFn: () => ok(api.GET('/school/readers')) });
  return <Show query={readers}>{(all) => <List all={all} />}</Show>;
}

function List({ all }: { all: SchoolReader[] }) {
  const [asked, setAsked] = useState('');
  const [health, setHealth] = useState('');
  const [sort, setSort] = useState({ key: 'name', down: false });
  const list = useColumns('school', columns);
  const [open, setOpen] = useState<SchoolReader | null>(null);
  const [picked, setPicked] = useState<Set<string>>(new Set());
  const frame = useRef<HTMLDivElement>(null);
  const words = asked.trim().toLowerCase();
  // Sorted once, so that a keystroke only has to leave rows out.
  const ready = useMemo(() => {
    const by = sure(columns.find((c) => c.key === sort.key)).by;
    return all
      .map((r) => ({ r, key: by(r), text: `${r.givenName} ${r.familyName} ${r.userName} ${r.classes}`.toLowerCase() }))
      .sort((a, b) => compare(a.key, b.key) * (sort.down ? -1 : 1));
  }, [all, sort]);
  const rows = useMemo(() => {
    const fits = (r: SchoolReader) =>
      health === 'never'
        ? !r.signedInAt && !r.leftSchool
        : health === 'left'
          ? r.leftSchool
          : health === 'none'
            ? !r.classes && !r.leftSchool
            : !r.leftSchool;
    return ready.filter((x) => fits(x.r) && x.text.includes(words)).map((x) => x.r);
  }, [ready, words, health]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => 32,
    overscan: 8,
  });
  const visible = list.shown;
  const template = `40px ${visible.map((c) => c.width).join(' ')}`;
  const toggle = (id: string) =>
    setPicked((p) => {
      const next = new Set(p);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const onKey = (i: number, r: SchoolReader) => (e: KeyboardEvent<HTMLDivElement>) => {
    if (e.target !== e.currentTarget) return;
    const to = e.key === 'ArrowDown' ? i + 1 : e.key === 'ArrowUp' ? i - 1 : -1;
    if (to >= 0 && to < rows.length) {
      e.preventDefault();
      virtual.scrollToIndex(to);
      requestAnimationFrame(() => frame.current?.querySelector<HTMLElement>(`[data-row="${to}"]`)?.focus());
    }
    if (e.key === ' ') {
      e.preventDefault();
      toggle(r.id);
    }
    if (e.key === 'Enter') setOpen(r);
  };
  const never = all.filter((r) => !r.signedInAt && !r.leftSchool).length;
  return (
    <section className="schoollist" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Readers of the school')}</h1>
        <input
          type="search"
          aria-label={t('Filter by name, user name or class')}
          placeholder={t('Name, user name or class')}
          value={asked}
          onChange={(e) => setAsked(e.target.value)}
        />
        <label>
          {t('Show')}{' '}
          <select value={health} onChange={(e) => setHealth(e.target.value)}>
            <option value="">{t('everybody here')}</option>
            <option value="never">{t('never signed in ({{n}})', { n: never })}</option>
            <option value="none">{t('in no class')}</option>
            <option value="left">{t('who have left')}</option>
          </select>
        </label>
        <span className="grow" />
        {list.menu}
        <Menu label={t('Print')} icon={<Printer size={20} aria-hidden />}>
          {[
            ['Cards', 'All sign-in cards'],
            ['List', 'List of all sign-ins'],
            ['Letters', 'All letters to guardians'],
          ].map(([form, name]) => (
            <DropdownMenu.Item asChild key={form}>
              <a className="item" href={`/api/school/print/${form}.pdf`} target="_blank" rel="noreferrer">
                {t(sure(name))}
              </a>
            </DropdownMenu.Item>
          ))}
        </Menu>
      </div>
      {all.length === 0 ? (
        <Empty title={t('Nobody is at the school yet')}>
          <p>{t('Take in a roster file under “Roster files”, or let teachers add their readers.')}</p>
        </Empty>
      ) : (
        <div className="vtable" role="grid" aria-labelledby="title" aria-rowcount={rows.length + 1} ref={frame}>
          <div className="vhead" role="row" style={{ gridTemplateColumns: template }}>
            <span role="columnheader">
              <span className="hide">{t('Pick up')}</span>
            </span>
            {visible.map((c) => (
              <span
                key={c.key}
                role="columnheader"
                className={c.key === 'depth' ? 'num' : undefined}
                aria-sort={sort.key === c.key ? (sort.down ? 'descending' : 'ascending') : 'none'}
              >
                <button onClick={() => setSort({ key: c.key, down: sort.key === c.key && !sort.down })}>
                  {t(c.name)}
                  {sort.key === c.key && (sort.down ? ' ↓' : ' ↑')}
                </button>
              </span>
            ))}
          </div>
          <div role="rowgroup" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
            {virtual.getVirtualItems().map((item) => {
              const r = sure(rows[item.index]);
              return (
                <div
                  key={r.id}
                  role="row"
                  data-row={item.index}
                  aria-rowindex={item.index + 2}
                  aria-selected={picked.has(r.id)}
                  tabIndex={item.index === 0 ? 0 : -1}
                  className={picked.has(r.id) ? 'vrow on' : 'vrow'}
                  style={{ gridTemplateColumns: template, transform: `translateY(${item.start}px)` }}
                  onKeyDown={onKey(item.index, r)}
                >
                  <span role="gridcell">
                    <span className="tick">
                      <input
                        type="checkbox"
                        tabIndex={-1}
                        aria-label={t('Pick up {{name}}', { name: `${r.givenName} ${r.familyName}` })}
                        checked={picked.has(r.id)}
                        onChange={() => toggle(r.id)}
                      />
                    </span>
                  </span>
                  {visible.map((c) => (
                    <span
                      role={c.key === 'name' ? 'rowheader' : 'gridcell'}
                      key={c.key}
                      className={c.key === 'depth' ? 'num' : undefined}
                    >
                      {c.key === 'name' ? (
                        <button className="link" tabIndex={-1} onClick={() => setOpen(r)}>
                          {c.of(r)}
                        </button>
                      ) : (
                        c.of(r)
                      )}
                    </span>
                  ))}
                </div>
              );
            })}
          </div>
        </div>
      )}
      <div className="foot">
        <span>
          <b>{t('{{n}} of {{all}}', { n: rows.length, all: all.length })}</b> {t('readers')}
        </span>
        <b>{t('{{count}} picked up', { count: picked.size })}</b>
        {picked.size === 2 && (
          <ReaderActions.Merge readers={all.filter((r) => picked.has(r.id))} done={() => setPicked(new Set())} />
        )}
        <span>{t('↑ ↓ move, Space picks up, Enter opens; pick up two to merge them')}</span>
      </div>
      {open && <ReaderActions reader={open} close={() => setOpen(null)} />}
    </section>
  );
}
