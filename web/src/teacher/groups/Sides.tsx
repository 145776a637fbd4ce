import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { Button } from '../../ui/Button';
import { Menu, MenuItem } from '../../ui/Menu';
import { Flag } from '../../ui/Shapes';
import { depthWords } from '../readers/SetMark';
import { Courses } from './Courses';
import { dragged, GroupBand, scaleOf, type Scale } from './GroupBand';
import { inOrder, rowsOf, type Move, type NextGroup, type NowGroup, type Plan, type Row } from './plan';
import { SheetLink } from '../readers/SheetLink';

const depthOf = (r: ReaderRow) => depthWords(r, String(Math.round(r.depth)));

interface Props {
  now: readonly NowGroup[];
  plan: Plan;
  moves: readonly Move[];
  readers: ReadonlyMap<string, ReaderRow>;
  set: (plan: Plan) => void;
  move: (id: string, to: number) => void;
}

/** Now and next side by side on one scale; a course leads from where a reader is to where they go. */
export function Sides({ now, plan, moves, readers, set, move }: Props) {
  const scale = scaleOf([...readers.values()]);
  const number = new Map(moves.map((m, i) => [m.id, i + 1]));
  const loose = [...readers.values()].filter((r) => !plan.some((g) => g.readerIds.includes(r.id)));
  return (
    <Courses moves={moves.filter((m) => m.from !== null && m.to !== null)}>
      <div className="grid grid-cols-2 pb-1" aria-hidden>
        {[t('Now'), t('Next')].map((side) => (
          <p key={side} className="px-4 text-sm">
            <b>{side}</b> <ScaleWords scale={scale} />
          </p>
        ))}
      </div>
      {rowsOf(now, plan).map((row, i) => (
        <Pair
          key={row.next?.id ?? row.now?.id ?? `new-${i}`}
          row={row}
          tint={i}
          scale={scale}
          number={number}
          of={{ plan, readers, set, move }}
        />
      ))}
      <div className="flex flex-wrap items-center gap-3 px-4 py-2.5">
        <Button
          size="sm"
          onClick={() => set([...plan, { id: null, name: t('Group {{n}}', { n: plan.length + 1 }), readerIds: [] }])}
        >
          {t('Add group')}
        </Button>
        {loose.length > 0 && (
          <section aria-label={t('Not in a group')} className="flex flex-wrap items-center gap-1.5">
            <h3 className="font-ui text-sm">{t('Not in a group')}</h3>
            <ul className={line}>
              {loose.map((r) => (
                <Placed key={r.id} r={r} at={-1} plan={plan} move={move} />
              ))}
            </ul>
          </section>
        )}
      </div>
    </Courses>
  );
}

export const ScaleWords = ({ scale }: { scale: Scale }) => (
  <span className="text-soft">
    {scale.ticks[0]}–{scale.ticks.at(-1)} fm
  </span>
);

function Pair({
  row,
  tint,
  scale,
  number,
  of: { plan, readers, set, move },
}: {
  row: Row;
  tint: number;
  scale: Scale;
  number: ReadonlyMap<string, number>;
  of: Pick<Props, 'plan' | 'readers' | 'set' | 'move'>;
}) {
  const was = inOrder(row.now?.readerIds ?? [], readers);
  const next = inOrder(row.next?.readerIds ?? [], readers);
  const moving = (r: ReaderRow) => number.has(r.id);
  return (
    <div className="border-depth-4 grid grid-cols-2 border-t">
      {row.now ? (
        <GroupBand name={row.now.name} readers={was} scale={scale} tint={tint}>
          <div className="mt-1 flex gap-4 pr-8">
            <Flags of={was.filter((r) => !moving(r))} grow />
            <Flags of={was.filter(moving)} />
          </div>
        </GroupBand>
      ) : (
        <p className="text-soft px-4 pt-3 text-sm">{t('New group')}</p>
      )}
      {row.next ? (
        <GroupBand
          name={row.next.name}
          readers={next}
          scale={scale}
          tint={tint}
          rename={(name) => set(plan.map((g, k) => (k === row.at ? { ...g, name } : g)))}
          drop={(id) => move(id, row.at)}
        >
          <div className="mt-1 flex gap-2">
            {[next.filter(moving), next.filter((r) => !moving(r))].map((those, i) => (
              <ul key={i} className={i === 0 ? column : line}>
                {those.map((r) => (
                  <Placed key={r.id} r={r} at={row.at} plan={plan} move={move} number={number.get(r.id)} />
                ))}
              </ul>
            ))}
          </div>
        </GroupBand>
      ) : (
        <p className="text-soft px-4 pt-3 text-sm">{t('Ends. Its readers are in other groups.')}</p>
      )}
    </div>
  );
}

const line = 'flex grow flex-wrap content-start gap-x-1.5 gap-y-1',
  column = 'flex flex-none flex-col gap-1 empty:hidden';

/** Readers where they are now; those who move stand apart, where their course begins. */
const Flags = ({ of, grow = false }: { of: readonly ReaderRow[]; grow?: boolean }) => (
  <ul className={grow ? line : column}>
    {of.map((r) => (
      <li key={r.id} data-from={r.id}>
        <Flag chosen={!grow}>
          {r.called} <i>{depthOf(r)}</i>
        </Flag>
      </li>
    ))}
  </ul>
);

/** A reader where they may be next: dragged to another group, or moved there from the menu at their flag. */
function Placed({
  r,
  at,
  plan,
  move,
  number,
}: {
  r: ReaderRow;
  at: number;
  plan: readonly NextGroup[];
  move: (id: string, to: number) => void;
  number?: number;
}) {
  return (
    <li
      data-to={r.id}
      draggable
      className="inline-flex cursor-grab items-center"
      onDragStart={(e) => {
        e.dataTransfer.setData(dragged, r.id);
        e.dataTransfer.effectAllowed = 'move';
      }}
    >
      <Flag chosen={number !== undefined}>
        {number !== undefined && <b>{number}</b>}
        <SheetLink className="no-underline" draggable={false} readerId={r.id}>
          {r.called} <i>{depthOf(r)}</i>
        </SheetLink>
      </Flag>
      <Menu
        look="plain"
        size="sm"
        iconOnly
        label={t('Move {{name}}', { name: r.called })}
        icon={<span aria-hidden>⋯</span>}
      >
        {plan.map((g, k) => (
          <MenuItem key={k} disabled={k === at} onSelect={() => move(r.id, k)}>
            {g.name || t('Group {{n}}', { n: k + 1 })}
          </MenuItem>
        ))}
        <MenuItem disabled={at < 0} onSelect={() => move(r.id, -1)}>
          {t('No group')}
        </MenuItem>
      </Menu>
    </li>
  );
}
