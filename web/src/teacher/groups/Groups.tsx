import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm, strandName } from '../../shared/format';
import { useKept } from '../../shared/useKept';
import { Empty } from '../../shared/Whole';
import { t } from '../../shared/words';
import { depthWords } from '../readers/SetMark';
import { useSaid, type ReaderRow } from '../classQueries';
import type { Place } from '../frame/Frame';
import { Window } from '../frame/Window';
import { useTray } from '../tray/useTray';
import { sure } from '../../shared/sure';

type Proposal = Api<'ProposalView'>;
type Plan = { name: string; readerIds: string[] }[];
type Draft = { plan: Plan | null; proposal: Proposal | null };

const depthOf = (r: ReaderRow) => depthWords(r, String(Math.round(r.depth)));
const nothing: Draft = { plan: null, proposal: null };

/** Guided reading groups: now and next side by side, reasons, moves by hand, saving. */
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
      said(t('The groups are saved'), done.changeId);
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
      <section className="listpage">
        <div className="head">
          <h1>{t('Groups')}</h1>
        </div>
        <Empty title={t('No readers yet')}>
          <p>{t('Groups are formed from the readers of the class.')}</p>
          <Link className="btn main" to={`/class/${data.id}/readers?add=1`}>
            {t('Add the first reader')}
          </Link>
        </Empty>
      </section>
    );
  return (
    <div className="groupspage">
      <section className="plan" aria-labelledby="title">
        <div className="head">
          <h1 id="title">{t('Groups')}</h1>
          <p className="soft">
            {plan
              ? t('Next is a proposal. Nothing changes until you save it.')
              : t('{{n}} groups now', { n: now.length })}
          </p>
        </div>
        <form
          className="rules"
          onSubmit={(e) => {
            e.preventDefault();
            propose.mutate();
          }}
          noValidate
        >
          <h2>{t('Rules')}</h2>
          <label>
            {t('Groups')}{' '}
            <input type="number" min="1" max="12" value={count} onChange={(e) => setCount(Number(e.target.value))} />
          </label>
          <label>
            {t('Smallest')}{' '}
            <input type="number" min="1" value={smallest} onChange={(e) => setSmallest(Number(e.target.value))} />
          </label>
          <label>
            {t('Largest')}{' '}
            <input type="number" min="1" value={largest} onChange={(e) => setLargest(Number(e.target.value))} />
          </label>
          <button className="btn" disabled={propose.isPending}>
            {propose.isPending ? t('Working it out…') : t('Propose groups')}
          </button>
          <button
            type="button"
            className="btn plain"
            onClick={() => setPlan(plan ?? (now.length > 0 ? now : [{ name: 'Kelp', readerIds: [] }]))}
          >
            {t('Change by hand')}
          </button>
          {proposal && plan && (
            <span className="best">
              {proposal.provenBest
                ? t('Best under these rules')
                : t('Within {{gap}} % of the best', { gap: Math.ceil(proposal.gap * 100) })}
            </span>
          )}
        </form>
        {error ? (
          <p className="note error" role="alert">
            {fieldOf(error, 'groups') ?? sentence(error)}
          </p>
        ) : null}
        <div className="bandlist">
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
                    <li key={r.id} className="placed">
                      <span className={groupOf(now, r.id) === g.name || now.length === 0 ? 'reader' : 'reader chosen'}>
                        {r.givenName} <i>{depthOf(r)}</i>
                      </span>
                      <select
                        aria-label={t('Group of {{name}}', { name: r.givenName })}
                        value={i}
                        onChange={(e) => move(r.id, Number(e.target.value))}
                      >
                        {plan.map((x, k) => (
                          <option key={k} value={k}>
                            {x.name || t('group {{n}}', { n: k + 1 })}
                          </option>
                        ))}
                      </select>
                    </li>
                  ))}
              </Band>
            ))
          ) : now.length === 0 ? (
            <Empty title={t('No groups yet')}>
              <p>
                {t(
                  'Say how many groups you can meet and of what size, and ask for a proposal. You decide what becomes of it.',
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
                      <Link className={tray.readers.includes(r.id) ? 'reader chosen' : 'reader'} to={`?reader=${r.id}`}>
                        {r.givenName} <i>{depthOf(r)}</i>
                      </Link>
                    </li>
                  ))}
              </Band>
            ))
          )}
          {plan && (
            <p>
              <button
                className="btn small"
                onClick={() => setPlan([...plan, { name: t('Group {{n}}', { n: plan.length + 1 }), readerIds: [] }])}
              >
                {t('Another group')}
              </button>
            </p>
          )}
          {loose.length > 0 && plan && (
            <div className="loose">
              <h3>{t('In no group')}</h3>
              <ul>
                {loose.map((r) => (
                  <li key={r.id} className="placed">
                    <span className="reader">
                      {r.givenName} <i>{depthOf(r)}</i>
                    </span>
                    <select
                      aria-label={t('Group of {{name}}', { name: r.givenName })}
                      value={-1}
                      onChange={(e) => move(r.id, Number(e.target.value))}
                    >
                      <option value={-1}>–</option>
                      {plan.map((x, k) => (
                        <option key={k} value={k}>
                          {x.name}
                        </option>
                      ))}
                    </select>
                  </li>
                ))}
              </ul>
            </div>
          )}
        </div>
      </section>
      {plan && (
        <aside className="why" aria-labelledby="why">
          <h2 id="why">{t('Who moves and why')}</h2>
          {moved.length === 0 ? (
            <p className="soft none">{t('Nobody moves.')}</p>
          ) : (
            <ul>
              {moved.map((r) => (
                <Reason key={r.id} r={r} from={groupOf(now, r.id)} to={groupOf(plan, r.id)} proposal={proposal} />
              ))}
            </ul>
          )}
          <footer>
            <button className="btn main" disabled={save.isPending} onClick={() => save.mutate()}>
              {t('Save these groups')}
            </button>
            <button className="btn" onClick={forget}>
              {t('Not now')}
            </button>
          </footer>
        </aside>
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
    <section className={`band b${tint % 4}`} aria-label={group.name}>
      <h3>
        {rename ? (
          <input
            type="text"
            aria-label={t('Name of the group')}
            maxLength={40}
            value={group.name}
            onChange={(e) => rename(e.target.value)}
          />
        ) : (
          group.name
        )}
        <span>
          {t('{{count}} readers', { count: ds.length })}
          {ds.length > 0 && (
            <>
              , {Math.round(low)}–{Math.round(high)} fm, <b>{t('{{w}} wide', { w: (high - low).toFixed(1) })}</b>
            </>
          )}
          {before && before.readerIds.length !== ds.length && ` · ${t('{{n}} before', { n: before.readerIds.length })}`}
        </span>
      </h3>
      <svg width="230" height="12" aria-hidden>
        <path d="M4 6H226" stroke="var(--ink-soft)" />
        {ds.length > 0 && <path d={`M${x(low)} 6H${x(high)}`} stroke="var(--ink)" strokeWidth="2.5" />}
        {ds.map((d, i) => (
          <circle key={i} cx={x(d)} cy="6" r="4" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.5" />
        ))}
      </svg>
      <ul>{children}</ul>
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
    <li>
      <p>
        <b>{r.givenName}</b>{' '}
        {from
          ? t('from {{from}} to {{to}}', { from, to: to ?? t('no group') })
          : t('to {{to}}', { to: to ?? t('no group') })}
      </p>
      <p className="soft small">
        {asProposed ? (
          <>
            {t('At {{depth}} fm, {{away}} from the middle of {{group}}', {
              depth: fm(place.depth),
              away: place.away.toFixed(1),
              group: to ?? '',
            })}
            {place.nearestOther >= 0 &&
              `, ${t('{{away}} from {{group}}', { away: place.otherAway.toFixed(1), group: proposal?.groups[place.nearestOther]?.name ?? '' })}`}
            .{place.need && ` ${t('Needs {{strand}} most.', { strand: strandName(place.need) })}`}
          </>
        ) : (
          t('Placed by you.')
        )}
      </p>
    </li>
  );
}

/** A group made from what is in the tray; its readers leave the groups they are in. */
function FormPicked({
  plan,
  readers,
  close,
  make,
}: {
  plan: Plan;
  readers: ReaderRow[];
  close: () => void;
  make: (plan: Plan) => void;
}) {
  const [name, setName] = useState('');
  const taken = plan.some((g) => g.name.toLowerCase() === name.trim().toLowerCase());
  const ids = readers.map((r) => r.id);
  return (
    <Window title={t('Form a group')} close={close}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim() && !taken)
            make([
              ...plan.map((g) => ({ ...g, readerIds: g.readerIds.filter((id) => !ids.includes(id)) })),
              { name: name.trim(), readerIds: ids },
            ]);
        }}
      >
        <p>{readers.map((r) => r.givenName).join(', ')}</p>
        <div className="field">
          <label htmlFor="group-name">{t('Name of the group')}</label>
          <input
            id="group-name"
            type="text"
            autoFocus
            maxLength={40}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          {taken && (
            <p className="error" role="alert">
              {t('There is a group of this name.')}
            </p>
          )}
        </div>
        <p className="row end">
          <button className="btn main" disabled={!name.trim() || taken || readers.length === 0}>
            {t('Put in the plan')}
          </button>
        </p>
      </form>
    </Window>
  );
}
