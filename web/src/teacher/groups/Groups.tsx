import { cx } from 'class-variance-authority';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm, strandName } from '../../shared/format';
import { useKept } from '../../shared/useKept';
import { phrase, t } from '../../shared/words';
import { depthWords } from '../readers/SetMark';
import { FormPicked, type Plan } from './FormPicked';
import { useSaid, type ReaderRow } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { ListPage, PageHead, SidePanel } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Flag } from '../../ui/Shapes';
import { Empty } from '../../ui/Show';
import { NumberField, TextField } from '../../ui/TextField';

type Proposal = Api<'ProposalView'>;
type Draft = { plan: Plan | null; proposal: Proposal | null };

const depthOf = (r: ReaderRow) => depthWords(r, String(Math.round(r.depth)));
const nothing: Draft = { plan: null, proposal: null };

/** Guided reading groups: now and next side by side, reasons, moves by hand, saving. */
/** Deeper groups stand on deeper water. */
const tints = ['bg-depth-1', 'bg-[#e2eff1]', 'bg-depth-2', 'bg-[#c6e0e4]'];

export default function Groups() {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const [search, setSearch] = useSearchParams();
  const [count, setCount] = useState(Math.max(1, Math.min(6, Math.round(data.readers.length / 6) || 1)));
  const [smallest, setSmallest] = useState(3);
  const [largest, setLargest] = useState(8);
  const draft = useKept<Draft>(`dc-groups-${data.id}`, nothing);
  const byId = new Map(data.readers.map((r) => [r.id, r]));
  const { proposal } = draft.value;
  // A draft may be older than the class is now: who has left it is in no group.
  const plan = draft.value.plan?.map((g) => ({ ...g, readerIds: g.readerIds.filter((id) => byId.has(id)) })) ?? null;
  const [error, setError] = useState<unknown>();
  const said = useSaid();
  const changed = useChanged();
  const now: Plan = data.groups.map((g) => ({ name: g.name, readerIds: g.readerIds }));

  const propose = useMutation({
    mutationFn: () =>
      ok(
        api.POST('/classes/{classId}/groups/proposal', {
          params: { path: { classId: data.id } },
          body: { groups: count, smallest, largest },
        }),
      ),
    onSuccess: (p) => {
      setError(undefined);
      draft.set({
        proposal: p,
        plan: p.groups.map((g) => ({ name: g.name, readerIds: g.readers.map((r) => r.readerId) })),
      });
    },
    onError: setError,
  });
  const save = useMutation({
    mutationFn: () =>
      ok(
        api.PUT('/classes/{classId}/groups', {
          params: { path: { classId: data.id } },
          body: { groups: sure(plan).filter((g) => g.readerIds.length > 0) },
        }),
      ),
    onSuccess: async (done) => {
      said(t('Saved groups'), done.changeId);
      forget();
      await changed('groups');
    },
    onError: setError,
  });
  const setPlan = (next: Plan) => draft.set({ proposal, plan: next });
  const forget = () => {
    draft.set(nothing);
    setError(undefined);
  };
  const move = (id: string, to: number) =>
    setPlan(
      sure(plan).map((g, i) => ({
        ...g,
        readerIds: i === to ? [...g.readerIds.filter((x) => x !== id), id] : g.readerIds.filter((x) => x !== id),
      })),
    );
  const groupOf = (list: Plan, id: string) => list.find((g) => g.readerIds.includes(id))?.name;
  const moved = plan ? data.readers.filter((r) => groupOf(plan, r.id) !== groupOf(now, r.id)) : [];
  const loose = plan ? data.readers.filter((r) => !groupOf(plan, r.id)) : [];

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
        <form
          className="flex flex-wrap items-center gap-3 px-4 pb-2.5"
          onSubmit={(e) => {
            e.preventDefault();
            propose.mutate();
          }}
          noValidate
        >
          <h2>{t('Rules')}</h2>
          <NumberField label={t('Groups')} inline min="1" max="12" value={count} set={setCount} />
          <NumberField label={t('Smallest')} inline min="1" value={smallest} set={setSmallest} />
          <NumberField label={t('Largest')} inline min="1" value={largest} set={setLargest} />
          <Button type="submit" disabled={propose.isPending}>
            {propose.isPending ? t('Calculating…') : t('Propose groups')}
          </Button>
          <Button
            look="plain"
            onClick={() => setPlan(plan ?? (now.length > 0 ? now : [{ name: 'Kelp', readerIds: [] }]))}
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
        {error ? (
          <p className="text-overlay px-4 py-1.5 text-sm font-semibold" role="alert">
            {fieldOf(error, 'groups') ?? sentence(error)}
          </p>
        ) : null}
        <div className="border-ink min-h-0 flex-1 overflow-auto border-t">
          {plan ? (
            plan.map((g, i) => (
              <Band
                key={i}
                tint={i}
                group={g}
                before={now.find((n) => n.name === g.name)}
                readers={byId}
                rename={(name) => setPlan(plan.map((x, k) => (k === i ? { ...x, name } : x)))}
              >
                {g.readerIds
                  .map((id) => byId.get(id))
                  .filter((r) => r !== undefined)
                  .sort((a, b) => a.depth - b.depth)
                  .map((r) => (
                    <li key={r.id} className="inline-flex items-center gap-0.5">
                      <Flag chosen={groupOf(now, r.id) !== g.name && now.length > 0}>
                        {r.called} <i>{depthOf(r)}</i>
                      </Flag>
                      <Select
                        label={t('Group of {{name}}', { name: r.called })}
                        bare
                        value={i}
                        set={(value) => move(r.id, Number(value))}
                        options={plan.map((x, k) => ({ value: k, label: x.name || t('group {{n}}', { n: k + 1 }) }))}
                      />
                    </li>
                  ))}
              </Band>
            ))
          ) : now.length === 0 ? (
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
          ) : (
            now.map((g, i) => (
              <Band key={g.name} tint={i} group={g} readers={byId}>
                {g.readerIds
                  .map((id) => byId.get(id))
                  .filter((r) => r !== undefined)
                  .sort((a, b) => a.depth - b.depth)
                  .map((r) => (
                    <li key={r.id}>
                      <Flag chosen={tray.readers.includes(r.id)}>
                        <Link className="no-underline" to={`?reader=${r.id}`}>
                          {r.called} <i>{depthOf(r)}</i>
                        </Link>
                      </Flag>
                    </li>
                  ))}
              </Band>
            ))
          )}
          {plan && (
            <p>
              <Button
                size="sm"
                onClick={() => setPlan([...plan, { name: t('Group {{n}}', { n: plan.length + 1 }), readerIds: [] }])}
              >
                {t('Add group')}
              </Button>
            </p>
          )}
          {loose.length > 0 && plan && (
            <div className="px-4 py-3">
              <h3>{t('Not in a group')}</h3>
              <ul className="mt-1.5 flex flex-wrap gap-x-2.5 gap-y-1.5">
                {loose.map((r) => (
                  <li key={r.id} className="inline-flex items-center gap-0.5">
                    <Flag>
                      {r.called} <i>{depthOf(r)}</i>
                    </Flag>
                    <Select
                      label={t('Group of {{name}}', { name: r.called })}
                      bare
                      value={-1}
                      set={(value) => move(r.id, Number(value))}
                      options={[{ value: -1, label: '–' }, ...plan.map((x, k) => ({ value: k, label: x.name }))]}
                    />
                  </li>
                ))}
              </ul>
            </div>
          )}
        </div>
      </section>
      {plan && (
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
          <footer className="border-ink bg-paper sticky bottom-0 mt-auto flex gap-2 border-t px-4.5 pt-3 pb-4">
            <Button look="main" className="grow" disabled={save.isPending} onClick={() => save.mutate()}>
              {t('Save groups')}
            </Button>
            <Button onClick={forget}>{t('Discard')}</Button>
          </footer>
        </SidePanel>
      )}
      {search.get('form') === 'picked' && (
        <FormPicked
          plan={plan ?? now}
          readers={data.readers.filter((r) => tray.readers.includes(r.id))}
          close={() => setSearch({})}
          make={(next) => {
            setPlan(next);
            setSearch({});
          }}
        />
      )}
    </div>
  );
}

/** A group as a band: name, span of depth, its readers as flags. */
function Band({
  group,
  before,
  readers,
  tint,
  rename,
  children,
}: {
  group: Plan[number];
  before?: Plan[number];
  readers: Map<string, ReaderRow>;
  tint: number;
  rename?: (name: string) => void;
  children: React.ReactNode;
}) {
  const ds = group.readerIds.map((id) => readers.get(id)?.depth).filter((d) => d !== undefined);
  const [low, high] = [Math.min(...ds), Math.max(...ds)];
  const x = (d: number) => 4 + (Math.max(0, Math.min(60, d)) / 60) * 220;
  return (
    <section className={cx('relative px-4 pt-3 pb-3.5', tints[tint % tints.length])} aria-label={group.name}>
      <div className="flex items-center gap-2.5">
        {rename ? (
          <TextField
            label={t('Group name')}
            bare
            className="w-36"
            boxClass="font-serif font-semibold"
            maxLength={40}
            value={group.name}
            set={rename}
          />
        ) : (
          <h3 className="text-lg">{group.name}</h3>
        )}
        <span className="text-sm">
          {t('{{count}} readers', { count: ds.length })}
          {ds.length > 0 && (
            <>
              , {Math.round(low)}–{Math.round(high)} fm, <b>{t('{{w}} fm wide', { w: (high - low).toFixed(1) })}</b>
            </>
          )}
          {before && before.readerIds.length !== ds.length && ` · ${t('{{n}} before', { n: before.readerIds.length })}`}
        </span>
      </div>
      <svg width="230" height="12" aria-hidden>
        <path d="M4 6H226" stroke="var(--color-soft)" />
        {ds.length > 0 && <path d={`M${x(low)} 6H${x(high)}`} stroke="var(--color-ink)" strokeWidth="2.5" />}
        {ds.map((d, i) => (
          <circle
            key={i}
            cx={x(d)}
            cy="6"
            r="4"
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
            strokeWidth="1.5"
          />
        ))}
      </svg>
      <ul className="mt-1.5 flex flex-wrap gap-x-2.5 gap-y-1.5">{children}</ul>
    </section>
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
