import { BellRinging } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { dayOf } from '../../../shared/format';
import { scoreSaid, shortScore } from '../../../shared/scores';
import type { TaskKind } from '../../../shared/taskKinds';
import { t } from '../../../shared/words';
import type { ClassData } from '../../classQueries';
import { RowTick } from '../../../ui/Checkbox';
import { LateMark, StateMark } from '../../../ui/StateMark';
import { TableScroll } from '../../../ui/table/Table';
import { waterOf } from '../rows';
import { byReader, cellsOf, columnsOf, isLate, ofGroup, type Place, type PlaceColumn, type PlacesData } from './places';

type Props = {
  d: PlacesData;
  data: ClassData;
  picked: ReadonlySet<string>;
  setPicked: (ids: ReadonlySet<string>) => void;
  focused: string | null;
  focus: (id: string | null) => void;
};

/** Readers by group, one a row; what everybody has has a column, what a group has stands in its own rows. */
export function PlacesTable(props: Props) {
  const { d, data } = props;
  const columns = columnsOf(d);
  const places = byReader(d);
  const grouped = new Set(d.groups.flatMap((g) => g.readerIds));
  const bandsOf = [
    ...d.groups.map((g) => ({ id: g.id as string | null, name: g.name, ids: g.readerIds })),
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
}: Props & {
  reader: ClassData['readers'][number];
  mine: readonly Place[];
  groupId: string | null;
  columns: PlaceColumn[];
  band: string;
}) {
  const cells = columns.map((c) => cellsOf(d, c, mine, groupId));
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
          {(cells[i] ?? []).map((k) => (
            <Cell
              key={k.id}
              k={k}
              d={d}
              called={reader.called}
              chosen={focused === k.id}
              picked={picked.has(k.id)}
              choose={() => focus(focused === k.id ? null : k.id)}
            />
          ))}
        </td>
      ))}
    </tr>
  );
}

/** Where one reader is with one assignment: a shape, a figure, and whether it is late. */
function Cell({
  k,
  d,
  called,
  chosen,
  picked,
  choose,
}: {
  k: Place;
  d: PlacesData;
  called: string;
  chosen: boolean;
  picked: boolean;
  choose: () => void;
}) {
  const a = d.plates.find((p) => p.assignment.id === k.assignmentId)?.assignment;
  const late = isLate(k, d.today);
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={choose}
      title={a?.title}
      className={cx(
        'hover:bg-depth-1 inline-flex h-6.5 min-w-11 items-center gap-1.5 rounded-sm px-1.5 text-sm',
        chosen && 'outline-overlay bg-paper outline-2 -outline-offset-2',
        picked && !chosen && 'outline-overlay outline-1 -outline-offset-1',
      )}
    >
      <span className="sr-only">
        {called}, {a?.title}:{' '}
      </span>
      <StateMark state={k.state} />
      {k.state === 'UnderWay' && k.pages > 0 && t('{{n}}/{{of}}', { n: Math.min(k.page + 1, k.pages), of: k.pages })}
      {k.score != null && k.state !== 'UnderWay' && <Right score={k.score} kind={a?.kind} />}
      {k.round > 1 && <span className="text-soft">{t('round {{n}}', { n: k.round })}</span>}
      {k.dueOn !== null && k.dueOn !== a?.dueOn && <span>{t('due {{day}}', { day: dayOf(k.dueOn) })}</span>}
      {k.reminded && (
        <>
          <BellRinging size={14} aria-hidden />
          <span className="sr-only">{t('reminded')}</span>
        </>
      )}
      {late && <LateMark />}
    </button>
  );
}

/** Right at the first try, of a hundred; the head of the page says so. */
const Right = ({ score, kind }: { score: number; kind: TaskKind | undefined }) => (
  <>
    <span aria-hidden>{shortScore(kind, score)}</span>
    <span className="sr-only">{scoreSaid(kind, score)}</span>
  </>
);
