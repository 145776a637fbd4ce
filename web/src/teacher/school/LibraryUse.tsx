import { number, percent } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';
import { Meter } from '../../ui/Measures';
import type { SchoolReport } from './schoolReport';

type Band = SchoolReport['library'][number];
const bandName = (b: Band) => {
  if (b.from === null) return t('under {{n}} fm', { n: b.to ?? 0 });
  return b.to === null
    ? t('{{n}} fm and deeper', { n: b.from })
    : t('{{from}} to {{to}} fm', { from: b.from, to: b.to });
};

/** How the library is used: what is there at each depth, what of it is read, and who reads at that depth. */
export function LibraryUse({ r }: { r: SchoolReport }) {
  const readings = r.library.reduce((sum, b) => sum + b.readings, 0);
  const versions = r.library.reduce((sum, b) => sum + b.versions, 0);
  const read = r.library.reduce((sum, b) => sum + b.read, 0);
  const columns: Column<Band>[] = [
    { key: 'band', name: phrase('Depth'), by: (b) => b.from ?? -99, show: bandName },
    { key: 'versions', name: phrase('Versions'), num: true, by: (b) => b.versions, show: (b) => b.versions },
    {
      key: 'read',
      name: phrase('Read at least once'),
      num: true,
      by: (b) => b.read,
      show: (b) => t('{{n}} of {{of}}', { n: b.read, of: b.versions }),
    },
    {
      key: 'readings',
      name: phrase('Full readings'),
      num: true,
      by: (b) => b.readings,
      show: (b) => number(b.readings),
    },
    {
      key: 'share',
      name: phrase('Share of all readings'),
      by: (b) => b.readings,
      show: (b) => (
        <span className="grid grid-cols-[120px_auto] items-center gap-2">
          <Meter of={readings} at={b.readings} label={t('Share of all readings')} />
          {readings > 0 && percent(b.readings / readings)}
        </span>
      ),
    },
    {
      key: 'readers',
      name: phrase('Readers at this depth'),
      num: true,
      by: (b) => b.readers ?? 1,
      show: (b) => b.readers ?? t('fewer than 5'),
    },
  ];
  return (
    <>
      <DataList
        list="school-library"
        label={t('Library')}
        columns={columns}
        rows={r.library}
        id={bandName}
        name={bandName}
        sort={{ key: 'band', down: false }}
        sums={[
          {
            name: t('Whole library'),
            show: (key) =>
              ({ versions, read: t('{{n}} of {{of}}', { n: read, of: versions }), readings: number(readings) })[key],
          },
        ]}
        counted={(_, count) => t('{{count}} depths', { count })}
      />
      <p className="text-soft px-4 py-2 text-sm">
        {t(
          'Versions your school can give, and full readings of them in these days. Levels are those at the end of it.',
        )}
      </p>
    </>
  );
}
