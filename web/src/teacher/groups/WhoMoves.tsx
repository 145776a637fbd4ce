import type { Api } from '../../shared/api';
import { fm, strandName } from '../../shared/format';
import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { Button } from '../../ui/Button';
import { SidePanel } from '../../ui/Page';
import type { Plan } from './FormPicked';

type Proposal = Api<'ProposalView'>;

export const groupOf = (list: Plan, id: string) => list.find((g) => g.readerIds.includes(id))?.name;

/** Who would be in another group than now, and why; saving it or not. */
export function WhoMoves({
  readers,
  now,
  plan,
  proposal,
  saving,
  save,
  forget,
}: {
  readers: readonly ReaderRow[];
  now: Plan;
  plan: Plan;
  proposal: Proposal | null;
  saving: boolean;
  save: () => void;
  forget: () => void;
}) {
  const moved = readers.filter((r) => groupOf(plan, r.id) !== groupOf(now, r.id));
  return (
    <SidePanel className="lg:w-82.5" aria-labelledby="why">
      <h2 id="why" className="px-4.5 py-2.75">
        {t('Who moves and why')}
      </h2>
      {moved.length === 0 ? (
        <p className="text-soft px-4.5">{t('No one moves.')}</p>
      ) : (
        <ul>
          {moved.map((r) => (
            <Reason key={r.id} r={r} from={groupOf(now, r.id)} to={groupOf(plan, r.id)} proposal={proposal} />
          ))}
        </ul>
      )}
      {moved.length > 0 && (
        <p className="text-soft px-4.5 py-3 text-sm">
          {t('A group’s work that is not begun goes with it: who comes gets it, who leaves no longer has it.')}
        </p>
      )}
      <footer className="border-ink bg-paper sticky bottom-0 mt-auto flex gap-2 border-t px-4.5 pt-3 pb-4">
        <Button look="main" className="grow" disabled={saving} onClick={save}>
          {t('Save groups')}
        </Button>
        <Button onClick={forget}>{t('Discard')}</Button>
      </footer>
    </SidePanel>
  );
}

function Reason({
  r,
  from,
  to,
  proposal,
}: {
  r: ReaderRow;
  from: string | undefined;
  to: string | undefined;
  proposal: Proposal | null;
}) {
  const index = proposal?.groups.findIndex((g) => g.readers.some((p) => p.readerId === r.id)) ?? -1;
  const place = proposal?.groups[index]?.readers.find((p) => p.readerId === r.id);
  const asProposed = place && proposal?.groups[index]?.name === to;
  return (
    <li className="border-line border-t px-4.5 py-2">
      <p>
        <b>{r.called}</b>{' '}
        {from
          ? t('from {{from}} to {{to}}', { from, to: to ?? t('no group') })
          : t('to {{to}}', { to: to ?? t('no group') })}
      </p>
      <p className="text-soft text-sm">
        {asProposed ? (
          <>
            {t('At {{depth}} fm, {{away}} fm from the {{group}} median', {
              depth: fm(place.depth),
              away: place.away.toFixed(1),
              group: to ?? '',
            })}
            {place.nearestOther >= 0 &&
              `, ${t('{{away}} fm from {{group}} median', {
                away: place.otherAway.toFixed(1),
                group: proposal?.groups[place.nearestOther]?.name ?? '',
              })}`}
            .{place.need && ` ${t('Needs {{strand}} most.', { strand: strandName(place.need) })}`}
          </>
        ) : (
          t('Placed by you.')
        )}
      </p>
    </li>
  );
}
