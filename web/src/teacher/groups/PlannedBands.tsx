import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/Select';
import { Flag } from '../../ui/Shapes';
import { Band, depthOf, inOrder } from './Band';
import type { Plan } from './FormPicked';
import { groupOf } from './WhoMoves';

interface Props {
  plan: Plan;
  now: Plan;
  readers: Map<string, ReaderRow>;
  set: (plan: Plan) => void;
  move: (id: string, to: number) => void;
}

/** The groups as they may be next: named, and readers moved from one to another. */
export function PlannedBands({ plan, now, readers, set, move }: Props) {
  const loose = [...readers.values()].filter((r) => !groupOf(plan, r.id));
  return (
    <>
      {plan.map((g, i) => (
        <Band
          key={i}
          tint={i}
          group={g}
          before={now.find((n) => n.name === g.name)}
          readers={readers}
          rename={(name) => set(plan.map((x, k) => (k === i ? { ...x, name } : x)))}
        >
          {inOrder(g.readerIds, readers).map((r) => (
            <Moving
              key={r.id}
              r={r}
              plan={plan}
              at={i}
              moves={groupOf(now, r.id) !== g.name && now.length > 0}
              move={move}
            />
          ))}
        </Band>
      ))}
      <p className="px-4 py-3">
        <Button
          size="sm"
          onClick={() => set([...plan, { name: t('Group {{n}}', { n: plan.length + 1 }), readerIds: [] }])}
        >
          {t('Add group')}
        </Button>
      </p>
      {loose.length > 0 && (
        <div className="px-4 py-3">
          <h3>{t('Not in a group')}</h3>
          <ul className="mt-1.5 flex flex-wrap gap-x-2.5 gap-y-1.5">
            {loose.map((r) => (
              <Moving key={r.id} r={r} plan={plan} at={-1} moves={false} move={move} />
            ))}
          </ul>
        </div>
      )}
    </>
  );
}

/** A reader with the group they are in, which can be another. */
function Moving({
  r,
  plan,
  at,
  moves,
  move,
}: {
  r: ReaderRow;
  plan: Plan;
  at: number;
  moves: boolean;
  move: Props['move'];
}) {
  const groups = plan.map((x, k) => ({ value: k, label: x.name || t('group {{n}}', { n: k + 1 }) }));
  return (
    <li className="inline-flex items-center gap-0.5">
      <Flag chosen={moves}>
        {r.called} <i>{depthOf(r)}</i>
      </Flag>
      <Select
        label={t('Group of {{name}}', { name: r.called })}
        bare
        value={at}
        set={(to) => move(r.id, to)}
        options={at < 0 ? [{ value: -1, label: '–' }, ...groups] : groups}
      />
    </li>
  );
}
