import { cx } from 'class-variance-authority';
import { useState, type CSSProperties, type DragEvent } from 'react';
import { addDays } from '../../../shared/days';
import { dayOf, fm } from '../../../shared/format';
import { sure } from '../../../shared/sure';
import { t } from '../../../shared/words';
import { useClass } from '../../classQueries';
import { useTray } from '../../tray/useTray';
import { waterOf } from '../rows';
import { CheckRows } from './CheckRows';
import { PlateCard } from './PlateCard';
import { useMoves } from './useMoves';
import { usePlan, type Plan, type WeekData } from './useWeek';
import { WeekHead } from './WeekHead';
import { gap, lay, sameRow, type Laid } from './weekLayout';

const headWidth = 112,
  narrow = 'minmax(44px,0.34fr)',
  wide = 'minmax(0,1fr)';

/** Rows of everybody, the groups and single readers; columns are the school days of two weeks, one of them narrow. */
export function WeekGrid({
  d,
  monday,
  classId,
  chosen,
  choose,
}: {
  d: WeekData;
  monday: string;
  classId: string;
  chosen: string | null;
  choose: (id: string | null) => void;
}) {
  const [broad, setBroad] = useState(0);
  const plan = usePlan(classId);
  const moves = useMoves(d, plan);
  const first = d.days.filter((x) => x.day < addDays(monday, 7)).length;
  const columns = d.days.map((_, i) => (i < first === (broad === 0) ? wide : narrow)).join(' ');
  const style = { '--days': columns } as CSSProperties;
  const rows = useRows(d, classId);
  const names = new Map((useClass(classId).data?.readers ?? []).map((r) => [r.id, r.called]));
  return (
    <div
      className="border-ink min-h-0 grow overflow-auto border-t"
      style={style}
      role="region"
      aria-label={t('Week')}
      tabIndex={0}
    >
      <div className="min-w-220">
        <WeekHead d={d} first={first} broad={broad} widen={setBroad} headWidth={headWidth} />
        <CheckRows classId={classId} days={d.days.map((x) => x.day)} headWidth={headWidth} />
        {rows.map((row, r) => {
          const { laid, lanes } = lay(
            d.plates.filter((p) => sameRow(p.row, row.row)),
            d.days.map((x) => x.day),
          );
          return (
            <section
              key={row.name}
              aria-label={row.name}
              className={cx('border-depth-4 grid border-b', waterOf(r))}
              style={{ gridTemplateColumns: `${headWidth}px minmax(0,1fr)` }}
            >
              <div className="border-ink border-r px-3 py-2">
                <h2 className="text-base leading-5">{row.name}</h2>
                <p className="text-sm">{t('{{count}} readers', { count: row.readers })}</p>
                {row.range && <p className="text-sm">{row.range}</p>}
              </div>
              <Lane
                d={d}
                laid={laid}
                lanes={lanes}
                split={first}
                broad={broad}
                chosen={chosen}
                choose={choose}
                moves={moves}
                names={names}
                readers={row.ids}
                plan={plan}
              />
            </section>
          );
        })}
      </div>
    </div>
  );
}

/** Everybody, the groups by depth, and single readers where they have something. */
function useRows(d: WeekData, classId: string) {
  const readers = useClass(classId).data?.readers ?? [];
  const depthOf = new Map(readers.map((r) => [r.id, r.depth]));
  const range = (ids: readonly string[]) => {
    const depths = ids.map((id) => depthOf.get(id)).filter((x) => x !== undefined);
    return depths.length === 0
      ? ''
      : t('{{from}}–{{to}} fm', {
          from: fm(Math.min(...depths)).split('.')[0] ?? '',
          to: fm(Math.max(...depths)).split('.')[0] ?? '',
        });
  };
  const tray = useTray();
  const single = new Set(d.plates.filter((p) => p.row.kind === 'Single').flatMap((p) => p.readers));
  return [
    {
      name: t('Everybody'),
      row: { kind: 'Everybody' } as const,
      ids: readers.map((r) => r.id),
      readers: readers.length,
      range: '',
    },
    // A group of another grouping has a row where it has something.
    ...d.groups
      .filter((g) => !g.grouping || d.plates.some((p) => p.row.kind === 'Group' && p.row.groupId === g.id))
      .map((g) => ({
        name: g.name,
        row: { kind: 'Group', groupId: g.id } as const,
        ids: g.readerIds,
        readers: g.readerIds.length,
        range: range(g.readerIds),
      })),
    { name: t('Single readers'), row: { kind: 'Single' } as const, ids: tray.readers, readers: single.size, range: '' },
  ];
}

function Lane({
  d,
  laid,
  lanes,
  split,
  broad,
  chosen,
  choose,
  moves,
  names,
  readers,
  plan,
}: {
  d: WeekData;
  names: ReadonlyMap<string, string>;
  readers: readonly string[];
  plan: Plan;
  laid: Laid[];
  lanes: number;
  split: number;
  broad: number;
  chosen: string | null;
  choose: (id: string | null) => void;
  moves: ReturnType<typeof useMoves>;
}) {
  const [over, setOver] = useState<number | null>(null);
  const dayAt = (e: DragEvent<HTMLElement>) => {
    const cells = [...e.currentTarget.querySelectorAll<HTMLElement>('[data-day]')];
    return cells.findIndex((c) => c.getBoundingClientRect().right > e.clientX);
  };
  const [from, to] = broad === 0 ? [0, split - 1] : [split, d.days.length - 1];
  const free = gap(laid, d.days, from, to);
  return (
    <div
      className="relative grid auto-rows-[minmax(26px,auto)] content-start gap-y-1 py-1"
      style={{ gridTemplateColumns: 'var(--days)' }}
      onDragOver={(e) => {
        if (!moves.dragged) return;
        e.preventDefault();
        setOver(dayAt(e));
      }}
      onDragLeave={() => setOver(null)}
      onDrop={(e) => {
        e.preventDefault();
        const at = dayAt(e);
        setOver(null);
        if (at >= 0) moves.drop(sure(d.days[at]).day);
      }}
    >
      {d.days.map((x, i) => (
        <span
          key={x.day}
          data-day={x.day}
          aria-hidden
          className={cx(
            'pointer-events-none border-l',
            i === split ? 'border-ink' : 'border-depth-4 border-dotted',
            x.off && 'bg-sand/70 bg-[repeating-linear-gradient(135deg,transparent_0_6px,var(--color-line)_6px_7px)]',
            over === i && moves.dragged && 'outline-overlay bg-tint outline-2 -outline-offset-2 outline-dashed',
          )}
          style={{ gridColumn: i + 1, gridRow: `1 / span ${Math.max(1, lanes)}` }}
        />
      ))}
      {laid.map((x) => (
        <PlateCard
          key={x.plate.assignment.id}
          {...x}
          called={x.plate.row.kind === 'Single' ? x.plate.readers.map((id) => names.get(id) ?? '').join(', ') : ''}
          narrow={x.from >= split ? broad === 0 : broad === 1}
          chosen={chosen === x.plate.assignment.id}
          choose={() => choose(chosen === x.plate.assignment.id ? null : x.plate.assignment.id)}
          moves={moves}
        />
      ))}
      {free && d.mayAssign && <Gap d={d} free={free} readers={readers} plan={plan} />}
    </div>
  );
}

/** Where a row has nothing: it says so, and with texts in the tray it is where they are drafted. */
function Gap({
  d,
  free,
  readers,
  plan,
}: {
  d: WeekData;
  free: { from: number; to: number; whole: boolean };
  readers: readonly string[];
  plan: Plan;
}) {
  const tray = useTray();
  const [first, last] = [sure(d.days[free.from]).day, sure(d.days[free.to]).day];
  const place = { gridColumn: `${free.from + 1} / ${free.to + 2}`, gridRow: 1 };
  if (tray.texts.length > 0 && readers.length > 0 && last >= d.today)
    return (
      <button
        type="button"
        className="border-overlay text-overlay hover:bg-tint z-1 mx-0.75 rounded-sm border border-dashed px-2 text-left text-sm"
        style={place}
        onClick={() => void plan.quietly(plan.draft([...readers], tray.texts, first < d.today ? d.today : first, last))}
      >
        {t('Draft {{count}} texts from tray here', { count: tray.texts.length })}
      </button>
    );
  return (
    <i className="text-soft self-center px-2 text-sm" style={place}>
      {free.whole ? t('nothing yet') : t('nothing from {{day}}', { day: dayOf(first) })}
    </i>
  );
}
