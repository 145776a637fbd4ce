import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { fieldOf, sentence } from '../../shared/api';
import { phrase, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Flag } from '../../ui/Shapes';
import { Empty } from '../../ui/Show';
import { NumberField } from '../../ui/TextField';
import { Band, depthOf, inOrder } from './Band';
import { FormPicked, type Plan } from './FormPicked';
import { PlannedBands } from './PlannedBands';
import { usePlan } from './usePlan';
import { WhoMoves } from './WhoMoves';

/** Guided reading groups: what they are, a proposal with reasons, moves by hand, saving. */
export default function Groups() {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const [search, setSearch] = useSearchParams();
  const draft = usePlan(data);
  const { plan, proposal, error, set } = draft;
  const byId = new Map(data.readers.map((r) => [r.id, r]));
  const now: Plan = data.groups.map((g) => ({ name: g.name, readerIds: g.readerIds }));
  if (data.readers.length === 0)
    return (
      <ListPage>
        <PageHead title={t('Groups')} />
        <Empty title={t('No readers yet')}>
          <p>{t('Groups are made from the readers of the class.')}</p>
          <Button asChild look="main">
            <Link to={`/class/${data.id}/readers?add=1`}>{t('Add reader')}</Link>
          </Button>
        </Empty>
      </ListPage>
    );
  return (
    <div className="grid min-h-0 max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_auto]">
      <section className="flex min-h-0 min-w-0 flex-col" aria-labelledby="title">
        <PageHead title={t('Groups')}>
          <p className="text-soft">
            {plan
              ? t('This is a proposal. Nothing changes until you save.')
              : t('{{count}} groups now', { count: now.length })}
          </p>
        </PageHead>
        <Rules draft={draft} now={now} readers={data.readers.length} />
        {error ? (
          <p className="text-overlay px-4 py-1.5 text-sm font-semibold" role="alert">
            {fieldOf(error, 'groups') ?? sentence(error)}
          </p>
        ) : null}
        <div className="border-ink min-h-0 flex-1 overflow-auto border-t">
          {plan && <PlannedBands plan={plan} now={now} readers={byId} set={set} move={draft.move} />}
          {!plan && now.length === 0 && <NoGroups />}
          {!plan &&
            now.map((g, i) => (
              <Band key={g.name} tint={i} group={g} readers={byId}>
                {inOrder(g.readerIds, byId).map((r) => (
                  <li key={r.id}>
                    <Flag chosen={tray.readers.includes(r.id)}>
                      <Link className="no-underline" to={`?reader=${r.id}`}>
                        {r.called} <i>{depthOf(r)}</i>
                      </Link>
                    </Flag>
                  </li>
                ))}
              </Band>
            ))}
        </div>
      </section>
      {plan && (
        <WhoMoves
          readers={data.readers}
          now={now}
          plan={plan}
          proposal={proposal}
          saving={draft.save.isPending}
          save={() => draft.save.mutate()}
          forget={draft.forget}
        />
      )}
      {search.get('form') === 'picked' && (
        <FormPicked
          plan={plan ?? now}
          readers={data.readers.filter((r) => tray.readers.includes(r.id))}
          close={() => setSearch({})}
          make={(next) => {
            set(next);
            setSearch({});
          }}
        />
      )}
    </div>
  );
}

const NoGroups = () => (
  <Empty title={t('No groups yet')}>
    <p>
      {t(
        phrase(
          'Say how many groups you can meet and their sizes, then propose groups. Nothing is saved ' +
            'until you decide.',
        ),
      )}
    </p>
  </Empty>
);

/** How many groups of which size, and a proposal under these rules. */
function Rules({ draft, now, readers }: { draft: ReturnType<typeof usePlan>; now: Plan; readers: number }) {
  const { plan, proposal, propose } = draft;
  const [groups, setGroups] = useState(Math.max(1, Math.min(6, Math.round(readers / 6) || 1)));
  const [smallest, setSmallest] = useState(3);
  const [largest, setLargest] = useState(8);
  return (
    <form
      className="flex flex-wrap items-center gap-3 px-4 pb-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        propose.mutate({ groups, smallest, largest });
      }}
      noValidate
    >
      <h2>{t('Rules')}</h2>
      <NumberField label={t('Groups')} inline min="1" max="12" value={groups} set={setGroups} />
      <NumberField label={t('Smallest')} inline min="1" value={smallest} set={setSmallest} />
      <NumberField label={t('Largest')} inline min="1" value={largest} set={setLargest} />
      <Button type="submit" disabled={propose.isPending}>
        {propose.isPending ? t('Calculating…') : t('Propose groups')}
      </Button>
      <Button
        look="plain"
        onClick={() => draft.set(plan ?? (now.length > 0 ? now : [{ name: 'Kelp', readerIds: [] }]))}
      >
        {t('Edit groups')}
      </Button>
      {proposal && plan && (
        <span className="ml-auto text-sm">
          {proposal.provenBest
            ? t('Best under these rules')
            : t('Within {{gap}}% of the best', { gap: Math.ceil(proposal.gap * 100) })}
        </span>
      )}
    </form>
  );
}
