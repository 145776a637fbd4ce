import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { fieldOf, sentence } from '../../shared/api';
import { say, t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import type { Place } from '../frame/Frame';
import { depthWords } from '../readers/SetMark';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { ListPage, Notice, PageHead } from '../../ui/Page';
import { Flag } from '../../ui/Shapes';
import { Empty, Loading, Show } from '../../ui/Show';
import { CreateGroup } from './CreateGroup';
import { GroupBand, scaleOf } from './GroupBand';
import { GroupingBar } from './GroupingBar';
import { GroupViews } from './GroupViews';
import { Leader } from './Leader';
import { LookAgain } from './LookAgain';
import { inOrder, movesOf, type NowGroup, type Rules } from './plan';
import { Reasons } from './Reasons';
import { RuleChips } from './RuleChips';
import { ScaleWords, Sides } from './Sides';
import { Stays } from './Stays';
import { useGrouping, type Grouping } from './useGrouping';
import { useGroups, type Groups as GroupsOf } from './useGroups';
import { SheetLink } from '../readers/SheetLink';

/** Groups: of guided reading, or of another grouping; what they are, a proposal with reasons, moves by hand, saving. */
export default function Groups() {
  const { data } = useOutletContext<Place>();
  const grouping = useGrouping(data);
  if (!grouping.ready) return <Loading />;
  return <OfGrouping key={grouping.chosen?.id} grouping={grouping} />;
}

function OfGrouping({ grouping }: { grouping: ReturnType<typeof useGrouping> }) {
  const { data } = grouping;
  const of = useGroups(data, grouping.chosen?.id ?? null);
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
    <Show query={of.rules.query}>{(rules) => <Page of={of} rules={rules} data={data} grouping={grouping} />}</Show>
  );
}

function Page({
  of,
  rules,
  data,
  grouping,
}: {
  of: GroupsOf;
  rules: Rules;
  data: Place['data'];
  grouping: ReturnType<typeof useGrouping>;
}) {
  const tray = useTray();
  const [search, setSearch] = useSearchParams();
  const [looking, look] = useState(false);
  const byId = new Map(data.readers.map((r) => [r.id, r]));
  const now: NowGroup[] = data.groups;
  const moves = of.plan ? movesOf(now, of.plan, data.readers) : [];
  const may = data.mayAssign;
  const start = now.length > 0 ? now : [{ id: null, name: firstName(grouping.chosen), readerIds: [] }];
  return (
    <div className="grid min-h-0 max-lg:grid-cols-1 max-lg:overflow-auto lg:grid-cols-[minmax(0,1fr)_auto]">
      <section className="flex min-h-0 min-w-0 flex-col" aria-labelledby="title">
        <PageHead
          title={t('Groups')}
          beside={
            <>
              <GroupViews classId={data.id} />
              <Said of={of} now={now.length} />
            </>
          }
        >
          <Button onClick={() => look(true)}>{t('History…')}</Button>
          {may && !of.plan && <Button onClick={() => of.set(start)}>{t('Edit groups')}</Button>}
          {may && (
            <Button
              look={of.plan ? 'outline' : 'main'}
              aria-busy={of.propose.isPending}
              onClick={() => of.propose.mutate(rules)}
            >
              {of.propose.isPending ? t('Calculating…') : t('Propose groups')}
            </Button>
          )}
        </PageHead>
        <GroupingBar of={grouping} data={data} may={may} />
        {may && <RuleChips data={data} rules={rules} put={(next) => void of.rules.put(next)} />}
        {of.error ? (
          <div className="px-4 pb-2">
            <ErrorText>{fieldOf(of.error, 'groups') ?? sentence(of.error)}</ErrorText>
          </div>
        ) : null}
        <Conflict of={of} />
        {may && !of.plan && !grouping.chosen && <LookAgain data={data} rules={rules} show={of.offer} />}
        <div className="border-ink min-h-0 flex-1 border-t pt-1.5 lg:overflow-auto">
          {may && of.plan && (
            <Sides now={now} plan={of.plan} moves={moves} readers={byId} set={of.set} move={of.move} />
          )}
          {!(may && of.plan) && <Now groups={now} readers={byId} chosen={tray.readers} classId={data.id} may={may} />}
        </div>
      </section>
      {may && of.plan && <Reasons of={{ ...of, plan: of.plan }} now={now} moves={moves} readers={byId} />}
      {search.get('form') === 'picked' && (
        <CreateGroup
          plan={of.plan ?? now}
          readers={data.readers.filter((r) => tray.readers.includes(r.id))}
          close={() => setSearch({})}
          make={(next) => {
            of.set(next);
            setSearch({});
          }}
        />
      )}
      {looking && <Stays classId={data.id} readers={byId} close={() => look(false)} />}
    </div>
  );
}

/** What the first group is called until somebody says otherwise. */
const firstName = (grouping: Grouping | null) => (grouping ? t('{{grouping}} 1', { grouping: grouping.name }) : 'Kelp');

function Said({ of, now }: { of: GroupsOf; now: number }) {
  if (!of.plan) return <p className="text-soft">{t('{{count}} groups now', { count: now })}</p>;
  const best = of.provenBest
    ? t('Best under these rules.')
    : of.gap > 0 && t('Within {{gap}}% of the best.', { gap: Math.ceil(of.gap * 100) });
  return (
    <p className="text-soft">
      {t('Nothing changes until you save.')} {of.offered.length > 0 && best}
    </p>
  );
}

/** Rules that cannot all be kept, with what would free them. */
function Conflict({ of }: { of: GroupsOf }) {
  const p = of.conflict;
  if (!p) return null;
  return (
    <Notice kind="action" aria-label={t('Rules that conflict')}>
      <p>
        <b>{t('These rules cannot all be kept:')}</b> {p.conflict.map((c) => say(c)).join('; ')}.
      </p>
      {p.fixes.length > 0 && (
        <p className="flex flex-wrap items-center gap-2 pt-1">
          {t('Any one of these would do:')}
          {p.fixes.map((f, i) => (
            <Button
              key={i}
              size="sm"
              onClick={() => {
                void of.rules.put(f.rules);
                of.propose.mutate(f.rules);
              }}
            >
              {say(f.sentence)}
            </Button>
          ))}
        </p>
      )}
    </Notice>
  );
}

function Now({
  groups,
  readers,
  chosen,
  classId,
  may,
}: {
  groups: readonly NowGroup[];
  readers: Map<string, ReaderRow>;
  chosen: readonly string[];
  classId: string;
  may: boolean;
}) {
  const scale = scaleOf([...readers.values()]);
  if (groups.length === 0)
    return (
      <Empty title={t('No groups yet')}>
        <p>
          {t(
            'Say how many groups you can meet and their sizes, then propose groups. Nothing is saved until you decide.',
          )}
        </p>
      </Empty>
    );
  return (
    <>
      <p className="px-4 pb-1 text-sm" aria-hidden>
        <ScaleWords scale={scale} />
      </p>
      {groups.map((g, i) => {
        const those = inOrder(g.readerIds, readers);
        return (
          <GroupBand key={g.id} name={g.name} readers={those} scale={scale} tint={i}>
            <Leader classId={classId} group={g} may={may} />
            <ul className="mt-1 flex flex-wrap gap-1.5">
              {those.map((r) => (
                <li key={r.id}>
                  <Flag chosen={chosen.includes(r.id)}>
                    <SheetLink className="no-underline" readerId={r.id}>
                      {r.called} <i>{depthWords(r, String(Math.round(r.depth)))}</i>
                    </SheetLink>
                  </Flag>
                </li>
              ))}
            </ul>
          </GroupBand>
        );
      })}
    </>
  );
}
