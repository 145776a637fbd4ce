import { Table } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { useTexts } from '../classQueries';
import type { Place } from '../frame/Frame';
import { LookHere } from './LookHere';
import { Sea } from './Sea';
import { ChartTable } from './ChartTable';
import { useTray } from '../tray/useTray';

export type Labels = 'grade' | 'schoolYear' | 'ages';
export type ChartShows = { groups: boolean; range: boolean; trend: boolean; labels: Labels };

const labelNames: Record<Labels, string> = { grade: 'Grade', schoolYear: 'School year', ages: 'Age' };

/** The picture of a class: its readers and texts side by side on the depth axis. */
export default function Chart() {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const library = useTexts(data.id, tray.texts).data ?? [];
  const [, setSearch] = useSearchParams();
  const [shows, setShows] = useState<ChartShows>({ groups: true, range: true, trend: true, labels: 'grade' });
  const [table, setTable] = useState(false);
  const picked = library
    .filter((x) => tray.texts.includes(x.id) && !data.texts.some((u) => u.textId === x.id))
    .map((x) => ({
      textId: x.id,
      title: x.title,
      depth: x.versions.reduce((s, v) => s + v.depth, 0) / x.versions.length,
      readers: 0,
    }));
  const texts = [...picked, ...data.texts].slice(0, 16);
  const tick = (name: 'groups' | 'range' | 'trend', label: string) => (
    <label>
      <input type="checkbox" checked={shows[name]} onChange={(e) => setShows({ ...shows, [name]: e.target.checked })} />{' '}
      {label}
    </label>
  );
  return (
    <div className="chartpage">
      <section className="chart" aria-labelledby="where">
        <div className="head">
          <h1 id="where">
            {data.name}, {dayOf(data.today)}
          </h1>
          {!table && (
            <div className="opts">
              {tick('groups', t('Groups'))}
              {tick('range', t('Range'))}
              {tick('trend', t('Trend'))}
            </div>
          )}
          <label className="pick">
            {t('Level labels')}{' '}
            <select value={shows.labels} onChange={(e) => setShows({ ...shows, labels: e.target.value as Labels })}>
              {Object.entries(labelNames).map(([key, name]) => (
                <option key={key} value={key}>
                  {t(name).toLowerCase()}
                </option>
              ))}
            </select>
          </label>
          <button className="btn small" aria-pressed={table} onClick={() => setTable(!table)}>
            <Table size={20} aria-hidden />
            {table ? t('Show as chart') : t('Show as table')}
          </button>
        </div>
        {data.readers.length === 0 ? (
          <div className="empty">
            <h2>{t('No readers yet')}</h2>
            <p>{t('The chart shows each reader at the depth they read at, beside the texts you give them.')}</p>
            <Link className="btn main" to={`/class/${data.id}/readers?add=1`}>
              {t('Add the first reader')}
            </Link>
          </div>
        ) : table ? (
          <ChartTable readers={data.readers} texts={texts} open={(id) => setSearch({ reader: id })} />
        ) : (
          <Sea
            data={data}
            texts={texts}
            shows={shows}
            labelName={t(labelNames[shows.labels])}
            open={(id) => setSearch({ reader: id })}
          />
        )}
      </section>
      <LookHere readers={data.readers} open={(id) => setSearch({ reader: id })} />
    </div>
  );
}
