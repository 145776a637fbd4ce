import { MagnifyingGlass } from '@phosphor-icons/react';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useOutletContext } from 'react-router';
import { fm } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import { rowKeys, useColumns } from '../frame/columns';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { Filters } from './Filters';
import { Searches } from './Searches';
import { useAsk, useLibrary, type LibraryRow } from './useLibrary';
import './texts.css';
import { sure } from '../../shared/sure';

const columns = [
  { key: 'text', name: 'Text' },
  { key: 'kind', name: 'Kind' },
  { key: 'depth', name: 'Depth, fm' },
  { key: 'words', name: 'Words' },
  { key: 'minutes', name: 'Minutes' },
  { key: 'questions', name: 'Questions' },
  { key: 'fits', name: 'Fits' },
  { key: 'use', name: 'Use' },
];
const sorts = [
  ['', 'best first'],
  ['Fit', 'fit'],
  ['Depth', 'depth'],
  ['Title', 'title'],
  ['Newest', 'newest'],
  ['Use', 'use'],
] as const;

/** The library: find a text by words, level, kind or length, and see whom it fits. */
export default function Texts() {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const ask = useAsk();
  const go = useNavigate();
  const list = useColumns('texts', columns);
  const picked = data.readers.filter((r) => tray.readers.includes(r.id)).map((r) => r.id);
  const found = useLibrary(data.id, picked, ask.text);
  const [typed, setTyped] = useState(ask.of('q'));
  const asked = ask.of('q');
  const [followed, setFollowed] = useState(asked);
  if (followed !== asked) {
    setFollowed(asked);
    setTyped(asked);
  }
  // The address follows a moment after the last key, so that going back is not a letter at a time.
  const { put } = ask;
  useEffect(() => {
    if (typed === asked) return;
    const wait = setTimeout(() => put({ q: typed }), 150);
    return () => clearTimeout(wait);
  }, [typed]); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <section className="library" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Texts')}</h1>
        <div className="find">
          <MagnifyingGlass className="icon" size={16} aria-hidden />
          <input
            type="search"
            aria-label={t('Search texts')}
            placeholder={t('Any word, or "words together"')}
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />
        </div>
        <label className="pick">
          {t('Sort by')}{' '}
          <select value={ask.of('sort')} onChange={(e) => ask.put({ sort: e.target.value, down: '' })}>
            {sorts.map(([key, name]) => (
              <option key={key} value={key}>
                {t(name)}
              </option>
            ))}
          </select>
        </label>
        <button
          className="btn small"
          aria-pressed={ask.of('down') === 'true'}
          onClick={() => ask.put({ down: ask.of('down') === 'true' ? '' : 'true' })}
        >
          {t('Turn round')}
        </button>
        <span className="grow" />
        <Searches ask={ask} />
        {list.menu}
        <Link className="btn" to={`/class/${data.id}/texts/decks`}>
          {t('Word decks')}
        </Link>
        <Link className="btn" to={`/class/${data.id}/texts/copies`}>
          {t('Copies on paper')}
        </Link>
        <Link className="btn" to={`/class/${data.id}/texts/bring`}>
          {t('Bring files in')}
        </Link>
        <Link className="btn main" to={`/class/${data.id}/texts/new`}>
          {t('New text')}
        </Link>
      </div>
      <Show query={{ ...found, data: found.data?.pages[0] }}>
        {(first) => {
          const rows = sure(found.data).pages.flatMap((p) => p.rows);
          return (
            <>
              <div className="libcols">
                <Filters ask={ask} facets={first.facets} data={data} />
                <div className="scroll" tabIndex={0} role="region" aria-labelledby="title" aria-busy={found.isFetching}>
                  {first.partly && rows.length > 0 && (
                    <p className="note" role="status">
                      {t('No text has all of these words. These have most of them.')}
                    </p>
                  )}
                  {first.instead.length > 0 && (
                    <p className="note" role="status">
                      {first.instead.map((i) => t('No text has “{{asked}}”. These have “{{instead}}”.', i)).join(' ')}
                    </p>
                  )}
                  {rows.length === 0 ? (
                    <Empty title={t('No text matches')}>
                      <p>{t('Try another word, or fewer filters.')}</p>
                      <button
                        className="btn"
                        onClick={() => {
                          setTyped('');
                          ask.put({ q: '' });
                          ask.clear();
                        }}
                      >
                        {t('Show all texts')}
                      </button>
                    </Empty>
                  ) : (
                    <table>
                      <thead>
                        <tr>
                          <th>
                            <span className="hide">{t('Pick up')}</span>
                          </th>
                          {list.shown.map((c) => (
                            <th
                              key={c.key}
                              className={['depth', 'words', 'minutes', 'questions'].includes(c.key) ? 'num' : undefined}
                            >
                              <span>
                                {c.key === 'fits'
                                  ? picked.length > 0
                                    ? t('Fits of those picked up')
                                    : t('Fits of the class')
                                  : t(c.name)}
                              </span>
                            </th>
                          ))}
                        </tr>
                      </thead>
                      <tbody>
                        {rows.map((x, i) => (
                          <Row
                            key={x.id}
                            x={x}
                            of={first.for}
                            first={i === 0}
                            has={list.has}
                            to={`/class/${data.id}/texts/${x.id}`}
                            on={tray.texts.includes(x.id)}
                            pick={() => tray.toggleText(x.id)}
                            open={() => void go(`/class/${data.id}/texts/${x.id}`)}
                          />
                        ))}
                      </tbody>
                    </table>
                  )}
                  {found.hasNextPage && (
                    <p className="row more">
                      <button
                        className="btn"
                        disabled={found.isFetchingNextPage}
                        onClick={() => void found.fetchNextPage()}
                      >
                        {t('Show {{count}} more', { count: Math.min(50, first.all - rows.length) })}
                      </button>
                    </p>
                  )}
                </div>
              </div>
              <div className="foot">
                <span>
                  <b>{t('{{n}} of {{all}}', { n: rows.length, all: first.all })}</b> {t('texts')}
                </span>
                <b>{t('{{count}} picked up', { count: tray.texts.length })}</b>
                <span>{t('↑ ↓ move, Space picks up, Enter opens')}</span>
              </div>
            </>
          );
        }}
      </Show>
    </section>
  );
}

type RowProps = {
  x: LibraryRow;
  of: number;
  first: boolean;
  on: boolean;
  to: string;
  has: (column: string) => boolean;
  pick: () => void;
  open: () => void;
};

function Row({ x, of, first, on, to, has, pick, open }: RowProps) {
  return (
    <tr tabIndex={first ? 0 : -1} className={on ? 'on' : undefined} onKeyDown={(e) => rowKeys(e, pick, open)}>
      <td>
        <span className="tick">
          <input type="checkbox" aria-label={t('Pick up {{name}}', { name: x.title })} checked={on} onChange={pick} />
        </span>
      </td>
      <th scope="row">
        <Link to={to}>{x.title}</Link>
        {x.whose !== 'Shipped' && (
          <span className="soft">
            {' '}
            {x.whose === 'Mine' ? (x.mine ? t('mine, seen by me only') : t('mine')) : t('my school’s')}
          </span>
        )}
        <p className="blurb">{x.blurb}</p>
      </th>
      {has('kind') && (
        <td>
          {x.kind}
          <br />
          <span className="soft">{x.fiction ? t('fiction') : t('non-fiction')}</span>
        </td>
      )}
      {has('depth') && (
        <td className="num">
          {x.versions.map((v) => (
            <span key={v.id} className="line">
              {fm(v.depth)}
            </span>
          ))}
        </td>
      )}
      {has('words') && (
        <td className="num">
          {x.versions.map((v) => (
            <span key={v.id} className="line">
              {v.words}
            </span>
          ))}
        </td>
      )}
      {has('minutes') && <td className="num">{x.minutes < 1 ? '< 1' : Math.round(x.minutes)}</td>}
      {has('questions') && <td className="num">{x.questions || '–'}</td>}
      {has('fits') && (
        <td>
          <FitBar n={x.fits} of={of} />
        </td>
      )}
      {has('use') && (
        <td>
          {x.readHere > 0
            ? t('read here {{count}} times', { count: x.readHere })
            : x.used > 0
              ? t('given {{count}} times', { count: x.used })
              : '–'}
        </td>
      )}
    </tr>
  );
}

function FitBar({ n, of }: { n: number; of: number }) {
  return (
    <span className="fitbar">
      <svg width="72" height="10" aria-hidden>
        <rect x=".5" y=".5" width="71" height="9" fill="var(--paper)" stroke="var(--line)" />
        {of > 0 && <rect x="1" y="1" width={(70 * n) / of} height="8" fill="var(--depth-4)" />}
      </svg>
      {t('{{n}} of {{of}}', { n, of })}
    </span>
  );
}
