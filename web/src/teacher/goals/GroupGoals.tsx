import { goalKinds } from '../../shared/goalKinds';
import { phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';
import type { ClassData } from '../classQueries';
import { kinds, type GoalsData, type Line } from './goals';
import { together, type Together } from './together';

interface Row {
  id: string;
  name: string;
  /** The class first, then the groups as they stand on their page. */
  place: number;
  lines: Line[];
  of: Partial<Record<Together['kind'], Together>>;
}

const rowOf = (id: string, name: string, place: number, lines: Line[]): Row => ({
  id,
  name,
  place,
  lines,
  of: Object.fromEntries(kinds.flatMap((kind) => together(lines, kind) ?? []).map((x) => [x.kind, x])),
});

const columns: Column<Row>[] = [
  { key: 'name', name: phrase('Who'), by: (r) => r.place, show: (r) => r.name },
  { key: 'readers', name: phrase('Readers'), num: true, by: (r) => r.lines.length, show: (r) => r.lines.length },
  ...kinds.map((kind): Column<Row> => ({
    key: kind,
    name: { Comprehension: phrase('Comprehension'), Words: phrase('Words'), Depth: phrase('Level') }[kind],
    by: (r) => (r.of[kind] ? r.of[kind].done / r.of[kind].target : -1),
    show: (r) => <Standing x={r.of[kind]} />,
    wrap: true,
  })),
];

const settingOf = (set: (readerIds: string[]) => void): Column<Row> => ({
  key: 'set',
  name: phrase('Goals'),
  show: (r) => (
    <Button
      size="sm"
      disabled={r.lines.length === 0}
      aria-label={t('Set goals of {{name}}…', { name: r.name })}
      onClick={() => set(r.lines.map((l) => l.readerId))}
    >
      {t('Set goals…')}
    </Button>
  ),
});

const width = 110;

/** How far they are together: water up to where it is, a mark where it should be by now, a post at the goal. */
function Standing({ x }: { x: Together | undefined }) {
  if (!x) return '–';
  const { outOf, grows } = goalKinds[x.kind];
  const at = (value: number) => (Math.max(0, Math.min(1.15, value / x.target)) / 1.15) * (width - 2);
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2">
      <svg width={width} height="14" aria-hidden>
        <rect x=".5" y="3.5" width={at(x.target)} height="7" className="fill-paper stroke-ink" />
        <rect x=".5" y="3.5" width={at(x.done)} height="7" className="fill-depth-4 stroke-ink" />
        {grows && <path d={`M${at(x.dueNow)} 1v12`} className="stroke-ink" strokeDasharray="2 2" />}
        <path d={`M${at(x.target) + 0.5} 0v14`} className="stroke-ink" strokeWidth="2.5" />
      </svg>
      {outOf(x.done, x.target)}
      <small className="text-soft basis-full">
        {t('about {{n}} of {{of}} likely to be reached', { n: Math.round(x.expected), of: x.set })}
      </small>
    </span>
  );
}

/** Goals of the class and of its groups: their readers' own, words summed and the rest as means.
 * @param set Begins to set goals for some readers; null where nobody may. */
export function GroupGoals({
  g,
  data,
  set,
}: {
  g: GoalsData;
  data: ClassData;
  set: ((readerIds: string[]) => void) | null;
}) {
  const rows = [
    rowOf(data.id, t('Whole class'), 0, g.lines),
    ...data.groups.map((x, i) =>
      rowOf(
        x.id,
        x.name,
        i + 1,
        g.lines.filter((l) => x.readerIds.includes(l.readerId)),
      ),
    ),
  ];
  return (
    <DataList
      list="goals-together"
      label={t('Goals of class and groups')}
      columns={set ? [...columns, settingOf(set)] : columns}
      rows={rows}
      id={(r) => r.id}
      name={(r) => r.name}
      counted={() => t('Readers’ own goals together: words summed, the rest as means of those who have a goal')}
    />
  );
}
