import { Fragment, useDeferredValue, useMemo, type Dispatch, type SetStateAction } from 'react';
import { Link } from 'react-router';
import { dayOf } from '../../../shared/format';
import { t } from '../../../shared/words';
import type { ClassData } from '../../classQueries';
import { RowTick } from '../../../ui/Checkbox';
import { TableScroll } from '../../../ui/table/Table';
import { waterOf } from '../rows';
import { PlaceCell, type Assigned } from './PlaceCell';
import { byReader, cellsOf, columnsOf, ofGroup, type Place, type PlaceColumn, type PlacesData } from './places';

type Props = {
  d: PlacesData;
  data: ClassData;
  picked: ReadonlySet<string>;
  setPicked: (ids: ReadonlySet<string>) => void;
  focused: string | null;
  focus: Dispatch<SetStateAction<string | null>>;
};

/** Readers by group, one a row; what everybody has has a column, what a group has stands in its own rows. */
export function PlacesTable(props: Props) {
  const { d, data } = props;
  const { columns, places, plates } = useMemo(
    () => ({
      columns: columnsOf(d),
      places: byReader(d),
      plates: new Map(d.plates.map((p) => [p.assignment.id, p.assignment])),
    }),
    [d],
  );
  const whole = useDeferredValue(true, false);
  const drawn = whole ? { rows: Infinity, columns: columns.length } : { rows: firstRows, columns: firstColumns };
  let row = 0;
  const guided = d.groups.filter((g) => !g.grouping);
  const grouped = new Set(guided.flatMap((g) => g.readerIds));
  const bandsOf = [
    ...guided.map((g) => ({ id: g.id as string | null, name: g.name, ids: g.readerIds })),
    { id: null, name: t('No group'), ids: data.readers.map((r) => r.id).filter((id) => !grouped.has(id)) },
  ].filter((g) => g.ids.length > 0);
  return (
    <TableScroll label={t('Who is where')} pinned>
      <table className="w-full border-separate border-spacing-0">
        <thead className="bg-sand [&_th]:border-ink sticky top-0 z-2 text-left text-sm [&_th]:border-b [&_th]:px-2 [&_th]:py-1">
          <tr>
            <th scope="col" className="min-w-36">
              {t('Reader')}
            </th>
            {columns.map((c) => (
              <th key={c.key} scope="col" className="border-l-depth-4 min-w-24 border-l align-bottom font-semibold">
                <ColumnHead of={c} classId={data.id} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {bandsOf.map((g, i) => (
            <Fragment key={g.id ?? 'none'}>
              <tr className={waterOf(i)}>
                <th scope="rowgroup" className="border-ink border-t px-3 py-1 text-left">
                  <span className="font-serif text-base font-semibold">{g.name}</span>{' '}
                  <span className="text-sm font-normal">{g.ids.length}</span>
                </th>
                {columns.map((c) => (
                  <td key={c.key} className="border-ink border-l-depth-4 border-t border-l px-2 py-1 align-top">
                    {c.nth !== null && g.id && <GroupPlate d={d} groupId={g.id} nth={c.nth} classId={data.id} />}
                  </td>
                ))}
              </tr>
              {data.readers
                .filter((r) => g.ids.includes(r.id))
                .map((r) => (
                  <ReaderRow
                    key={r.id}
                    {...props}
                    reader={r}
                    mine={places.get(r.id) ?? []}
                    groupId={g.id}
                    columns={columns}
                    band={waterOf(i)}
                    plates={plates}
                    drawn={row++ < drawn.rows ? drawn.columns : 0}
                  />
                ))}
            </Fragment>
          ))}
        </tbody>
      </table>
    </TableScroll>
  );
}

function ColumnHead({ of, classId }: { of: PlaceColumn; classId: string }) {
  if (of.plate)
    return (
      <>
        <Link to={`/class/${classId}/assignments/${of.plate.assignment.id}`}>{of.plate.assignment.title}</Link>
        {of.plate.assignment.dueOn && (
          <span className="block font-normal">{t('due {{day}}', { day: dayOf(of.plate.assignment.dueOn) })}</span>
        )}
      </>
    );
  return of.nth === null ? t('Own text') : t('The group’s text {{n}}', { n: of.nth + 1 });
}

function GroupPlate({ d, groupId, nth, classId }: { d: PlacesData; groupId: string; nth: number; classId: string }) {
  const plate = ofGroup(d, groupId)[nth];
  if (!plate) return null;
  const a = plate.assignment;
  return (
    <span className="flex flex-wrap items-center gap-x-2 text-sm">
      <Link
        to={`/class/${classId}/assignments/${a.id}`}
        className="border-ink bg-paper rounded-r-xs border border-l-4 [border-left-style:double] px-1.5 no-underline hover:underline"
      >
        {a.title}
      </Link>
      {a.dueOn && <span>{t('due {{day}}', { day: dayOf(a.dueOn) })}</span>}
    </span>
  );
}

/** What the first picture shows of a large table; the rest follows at once behind it. */
const firstRows = 22,
  firstColumns = 10;

function ReaderRow({
  d,
  reader,
  mine,
  groupId,
  columns,
  picked,
  setPicked,
  focused,
  focus,
  band,
  plates,
  drawn,
}: Props & {
  reader: ClassData['readers'][number];
  mine: readonly Place[];
  groupId: string | null;
  columns: PlaceColumn[];
  band: string;
  plates: ReadonlyMap<string, Assigned>;
  /** The columns whose cells are drawn already. */
  drawn: number;
}) {
  const on = mine.some((k) => picked.has(k.id));
  const toggle = () => {
    const next = new Set(picked);
    for (const { id } of mine)
      if (on) next.delete(id);
      else next.add(id);
    setPicked(next);
  };
  return (
    <tr className={on ? 'bg-tint' : band}>
      <th scope="row" className="border-line border-b pl-3 text-left font-medium whitespace-nowrap">
        <span className="flex items-center gap-2">
          <RowTick label={t('Select {{name}}', { name: reader.called })} checked={on} set={toggle} />
          <Link to={`?reader=${reader.id}`} className="no-underline hover:underline">
            {reader.called}
          </Link>
        </span>
      </th>
      {columns.map((c, i) => (
        <td key={c.key} className="border-line border-l-depth-4 h-7 border-b border-l px-1">
          {i < drawn &&
            cellsOf(c, mine, groupId).map((k) => (
              <PlaceCell
                key={k.id}
                k={k}
                of={plates.get(k.assignmentId)}
                today={d.today}
                called={reader.called}
                chosen={focused === k.id}
                picked={picked.has(k.id)}
                focus={focus}
              />
            ))}
        </td>
      ))}
    </tr>
  );
}
