import { fm, signed, strandName } from '../../shared/format';
import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { SidePanel } from '../../ui/Page';
import { Broken } from './Broken';
import { placeOf, staysIn, type Judged, type Move, type NowGroup, type Placement, type Plan } from './plan';
import type { Groups } from './useGroups';

/** Who would be in another group than now, and why, each to be ticked; who is near an edge; saving it or not. */
export function Reasons({
  of,
  now,
  moves,
  readers,
}: {
  of: Groups & { plan: Plan };
  now: readonly NowGroup[];
  moves: readonly Move[];
  readers: ReadonlyMap<string, ReaderRow>;
}) {
  const { plan, judged } = of;
  const places = new Map(judged?.placements.map((p) => [p.readerId, p]));
  // What was proposed stays in the list when its tick is taken away.
  const left = of.offered.filter((o) => !moves.some((m) => m.id === o.id) && readers.has(o.id));
  const edge = (judged?.placements ?? []).filter((p) => p.atEdge && !p.moves && readers.has(p.readerId));
  const said = { plan, readers };
  return (
    <SidePanel className="lg:w-86" aria-labelledby="why">
      <h2 id="why" className="px-4.5 py-2.75">
        {t('Who moves and why')}
      </h2>
      {moves.length + left.length === 0 && <p className="text-soft px-4.5">{t('No one moves.')}</p>}
      <ol>
        {moves.map((m, i) => (
          <MoveRow
            key={m.id}
            m={m}
            number={i + 1}
            place={places.get(m.id)}
            {...said}
            untick={() => of.move(m.id, staysIn(now, plan, m.id) ?? -1)}
            stays={staysIn(now, plan, m.id) !== null || m.from === null}
          />
        ))}
        {left.map((o) => (
          <li key={o.id} className="border-line text-soft border-t px-4.5 py-2">
            <Checkbox
              checked={false}
              set={() =>
                of.move(
                  o.id,
                  plan.findIndex((g) => g.name === o.to),
                )
              }
            >
              {t('{{name}} from {{from}} to {{to}}', {
                name: readers.get(o.id)?.called ?? '',
                from: o.from ?? t('no group'),
                to: o.to ?? t('no group'),
              })}
            </Checkbox>
          </li>
        ))}
      </ol>
      {edge.length > 0 && (
        <section aria-labelledby="edge" className="border-ink border-t px-4.5 py-2.5">
          <h3 id="edge" className="font-ui text-base font-semibold">
            {t('Near an edge, but staying')}
          </h3>
          <ul className="grid gap-1.5">
            {edge.slice(0, 6).map((p) => (
              <li key={p.readerId}>{edgeWords(p, said)}</li>
            ))}
          </ul>
        </section>
      )}
      <Foot of={of} judged={judged} moves={moves.length} />
    </SidePanel>
  );
}

interface Said {
  plan: Plan;
  readers: ReadonlyMap<string, ReaderRow>;
}

function MoveRow({
  m,
  number,
  place,
  plan,
  readers,
  untick,
  stays,
}: Said & { m: Move; number: number; place: Placement | undefined; untick: () => void; stays: boolean }) {
  const name = readers.get(m.id)?.called ?? '';
  return (
    <li className="border-line border-t px-4.5 py-2">
      <div className="flex items-start justify-between gap-2">
        <Checkbox checked set={untick} disabled={!stays}>
          <b className="border-overlay text-overlay mr-1 inline-grid size-5 place-content-center rounded-full border text-sm">
            {number}
          </b>
          <b>{name}</b>{' '}
          {m.from
            ? t('from {{from}} to {{to}}', { from: m.from, to: m.to ?? t('no group') })
            : t('to {{to}}', { to: m.to ?? t('no group') })}
        </Checkbox>
        {place?.likely != null && (
          <span className="text-sm whitespace-nowrap">
            {t('{{n}} in 10 sure', { n: Math.min(9, Math.max(1, Math.round(place.likely * 10))) })}
          </span>
        )}
      </div>
      {place && <p className="text-sm">{whyWords(place, plan)}</p>}
    </li>
  );
}

const parts = (p: Placement['own']) =>
  [
    t('level {{n}}', { n: p.level.toFixed(1) }),
    p.strands > 0 && t('strands {{n}}', { n: p.strands.toFixed(1) }),
    p.rate > 0 && t('rate {{n}}', { n: p.rate.toFixed(1) }),
  ]
    .filter(Boolean)
    .join(' + ');

/** A placement in parts that add up, beside the nearest other group. */
function whyWords(p: Placement, plan: Plan) {
  const own = t('{{away}} fm from the middle of {{group}}: {{parts}}.', {
    away: p.own.sum.toFixed(1),
    group: plan[p.group]?.name ?? '',
    parts: parts(p.own),
  });
  const other =
    p.other >= 0
      ? ` ${t('{{away}} fm from {{group}}: {{parts}}.', {
          away: p.otherAway.sum.toFixed(1),
          group: plan[p.other]?.name ?? '',
          parts: parts(p.otherAway),
        })}`
      : '';
  const need = p.need ? ` ${t('Needs {{strand}} most.', { strand: strandName(p.need) })}` : '';
  const rate = p.rate === null ? '' : ` ${t('{{n}} words a minute.', { n: Math.round(p.rate) })}`;
  return own + other + need + rate;
}

function edgeWords(p: Placement, { plan, readers }: Said) {
  const name = readers.get(p.readerId)?.called ?? '';
  const near = t('{{name}} is {{n}} fm nearer to {{own}} than to {{other}}.', {
    name,
    n: (p.otherAway.sum - p.own.sum).toFixed(1),
    own: plan[p.group]?.name ?? '',
    other: plan[p.other]?.name ?? '',
  });
  const turn =
    p.turning === null || p.turning === 0
      ? ''
      : ` ${t('At {{change}} fm the two are equal.', { change: signed(p.turning) })}`;
  return (
    <>
      {near}
      {turn}
    </>
  );
}

function Foot({ of, judged, moves }: { of: Groups & { plan: Plan }; judged: Judged | undefined; moves: number }) {
  const named = new Set(of.plan.map((g) => g.name.trim().toLowerCase())).size === of.plan.length;
  const unplaced = of.plan.every((g) => placeOf([g], '') < 0 && g.readerIds.length === 0);
  return (
    <footer className="border-ink bg-paper sticky bottom-0 mt-auto grid gap-2 border-t px-4.5 pt-3 pb-4">
      {judged && (
        <p className="text-sm">
          {judged.nowCost === null
            ? t('Distances to the middles: {{n}} fm.', { n: fm(judged.cost) })
            : t('Distances and moves: {{n}} fm, {{was}} fm as the groups are now.', {
                n: fm(judged.cost),
                was: fm(judged.nowCost),
              })}
        </p>
      )}
      {judged && judged.broken.length > 0 && <Broken judged={judged} />}
      {moves > 0 && (
        <p className="text-soft text-sm">
          {t('A group’s work that is not begun goes with it: who comes gets it, who leaves no longer has it.')}
        </p>
      )}
      <div className="flex gap-2">
        <Button
          look="main"
          className="grow"
          aria-busy={of.save.isPending}
          disabled={!named || unplaced}
          onClick={() => of.save.mutate()}
        >
          {moves > 0 ? t('Move {{count}} readers', { count: moves }) : t('Save groups')}
        </Button>
        <Button onClick={of.forget}>{t('Discard')}</Button>
      </div>
    </footer>
  );
}
