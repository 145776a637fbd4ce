import { cx } from 'class-variance-authority';
import { Table } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { dayOf } from '../../shared/format';
import { phrase, type Phrase, t } from '../../shared/words';
import { useTexts } from '../classQueries';
import type { Place } from '../frame/Frame';
import { LookHere } from '../signals/LookHere';
import { Sea } from './Sea';
import { ChartTable } from './ChartTable';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { PageHead } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Empty } from '../../ui/Show';

export type Labels = 'grade' | 'schoolYear' | 'ages';
export type ChartShows = { groups: boolean; range: boolean; trend: boolean; labels: Labels };

const labelNames: Record<Labels, Phrase> = {
  grade: phrase('Grade'),
  schoolYear: phrase('School year'),
  ages: phrase('Age'),
};

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
    <Checkbox checked={shows[name]} set={(on) => setShows({ ...shows, [name]: on })}>
      {label}
    </Checkbox>
  );
  return (
    <div
      className={cx(
        'grid min-h-0 min-w-0 max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_264px]',
        'lg:group-data-sheet/work:grid-cols-1',
      )}
    >
      <section className="flex min-h-0 min-w-0 flex-col" aria-labelledby="title">
        <PageHead title={`${data.name}, ${dayOf(data.today)}`}>
          {!table && data.readers.length > 0 && (
            <div className="flex gap-3.5">
              {tick('groups', t('Groups'))}
              {tick('range', t('Range'))}
              {tick('trend', t('Trend'))}
            </div>
          )}
          <Select
            label={t('Level labels')}
            inline
            value={shows.labels}
            set={(value) => setShows({ ...shows, labels: value as Labels })}
            options={Object.entries(labelNames).map(([key, name]) => ({ value: key, label: t(name).toLowerCase() }))}
          />
          <Button size="sm" aria-pressed={table} onClick={() => setTable(!table)}>
            <Table size={20} aria-hidden />
            {table ? t('Show as chart') : t('Show as table')}
          </Button>
        </PageHead>
        {data.readers.length === 0 && (
          <Empty title={t('No readers yet')}>
            <p>{t('The chart shows each reader at their depth, beside the texts you assign.')}</p>
            <Button asChild look="main">
              <Link to={`/class/${data.id}/readers?add=1`}>{t('Add reader')}</Link>
            </Button>
          </Empty>
        )}
        {data.readers.length > 0 && table && (
          <ChartTable readers={data.readers} texts={texts} open={(id) => setSearch({ reader: id })} />
        )}
        {data.readers.length > 0 && !table && (
          <Sea
            data={data}
            texts={texts}
            shows={shows}
            labelName={t(labelNames[shows.labels])}
            open={(id) => setSearch({ reader: id })}
          />
        )}
      </section>
      <LookHere data={data} open={(id) => setSearch({ reader: id })} />
    </div>
  );
}
