import { MagnifyingGlass } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { fm } from '../../shared/format';
import { t } from '../../shared/words';
import { Empty } from '../../shared/Whole';
import { forecast, zoneWord } from '../chart/forecast';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import type { ReaderRow, TextRow } from '../classQueries';

const depths = (x: TextRow) => x.versions.map((v) => v.depth);
/** How many readers have a version within their reach. */
const within = (x: TextRow, readers: ReaderRow[]) => readers.filter((r) => depths(x).some((d) => { const p = forecast(r.depth, d); return !zoneWord(p); })).length;

/** The library: find a text by words, kind or depth, and see whom it fits. */
export default function Texts() {
  const { data, library } = useOutletContext<Place>();
  const tray = useTray();
  const [asked, setAsked] = useState('');
  const [kind, setKind] = useState('');
  const [sort, setSort] = useState<'depth' | 'title' | 'fit' | 'used'>('depth');
  const picked = data.readers.filter((r) => tray.readers.includes(r.id));
  const whom = picked.length > 0 ? picked : data.readers;
  const word = asked.trim().toLowerCase();
  const by: Record<typeof sort, (a: TextRow, b: TextRow) => number> = {
    depth: (a, b) => depths(a)[0]! - depths(b)[0]!, title: (a, b) => a.title.localeCompare(b.title), fit: (a, b) => within(b, whom) - within(a, whom), used: (a, b) => b.used - a.used,
  };
  const rows = library.filter((x) => (!kind || x.kind === kind) && [x.title, x.blurb, x.topic, x.kind].some((s) => s.toLowerCase().includes(word))).sort(by[sort]);
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Texts')}</h1>
        <div className="find"><MagnifyingGlass className="icon" size={16} aria-hidden /><input type="search" aria-label={t('Search texts')} placeholder={t('Title, topic or word')} value={asked} onChange={(e) => setAsked(e.target.value)} /></div>
        <label className="pick">{t('Kind')} <select value={kind} onChange={(e) => setKind(e.target.value)}><option value="">{t('all')}</option>{[...new Set(library.map((x) => x.kind))].sort().map((k) => <option key={k}>{k}</option>)}</select></label>
        <label className="pick">{t('Sort by')} <select value={sort} onChange={(e) => setSort(e.target.value as typeof sort)}><option value="depth">{t('depth')}</option><option value="title">{t('title')}</option><option value="fit">{t('fit')}</option><option value="used">{t('use')}</option></select></label>
      </div>
      {rows.length === 0 ? <Empty title={t('No text matches')}><p>{t('Try another word or kind.')}</p><button className="btn" onClick={() => { setAsked(''); setKind(''); }}>{t('Show all texts')}</button></Empty> : (
        <div className="scroll" tabIndex={0} role="region" aria-labelledby="title"><table>
          <thead><tr><th><span className="hide">{t('Pick up')}</span></th><th>{t('Text')}</th><th>{t('Kind')}</th><th className="num">{t('Depth, fm')}</th><th className="num">{t('Words')}</th><th className="num">{t('Questions')}</th><th>{picked.length > 0 ? t('Fits of those picked up') : t('Fits of the class')}</th><th className="num">{t('Read here')}</th></tr></thead>
          <tbody>{rows.map((x) => {
            const fits = within(x, whom), on = tray.texts.includes(x.id);
            return (
              <tr key={x.id} className={on ? 'on' : undefined}>
                <td><span className="tick"><input type="checkbox" aria-label={t('Pick up {{name}}', { name: x.title })} checked={on} onChange={() => tray.toggleText(x.id)} /></span></td>
                <th scope="row"><Link to={`/class/${data.id}/texts/${x.id}`}>{x.title}</Link><p className="blurb">{x.blurb}</p></th>
                <td>{x.kind}<br /><span className="soft">{x.fiction ? t('fiction') : t('non-fiction')}</span></td>
                <td className="num">{x.versions.map((v) => <span key={v.id} className="line">{fm(v.depth)}</span>)}</td>
                <td className="num">{x.versions.map((v) => <span key={v.id} className="line">{v.words}</span>)}</td>
                <td className="num">{x.questions}</td>
                <td><FitBar n={fits} of={whom.length} /></td>
                <td className="num">{x.used || '–'}</td>
              </tr>
            );
          })}</tbody>
        </table></div>
      )}
      <div className="foot"><span><b>{t('{{n}} of {{all}}', { n: rows.length, all: library.length })}</b> {t('texts')}</span><b>{t('{{count}} picked up', { count: tray.texts.length })}</b></div>
    </section>
  );
}

function FitBar({ n, of }: { n: number; of: number }) {
  return <span className="fitbar"><svg width="96" height="10" aria-hidden><rect x=".5" y=".5" width="95" height="9" fill="var(--paper)" stroke="var(--line)" />{of > 0 && <rect x="1" y="1" width={(94 * n) / of} height="8" fill="var(--depth-4)" />}</svg>{t('{{n}} of {{of}}', { n, of })}</span>;
}
