import { useMutation, useQuery } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { api, ok, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { shortDay } from '../../shared/format';
import { keys } from '../../shared/keys';
import { sure } from '../../shared/sure';
import { phrase, t, type Phrase } from '../../shared/words';
import { useKept } from '../../shared/useKept';
import { calledIn, useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Empty, Show } from '../../ui/Show';
import { CallMet } from './CallMet';
import { begin, targetsOf, type GoalsData, type Line, type OfKind, type Setting } from './goals';
import { GoalRows } from './GoalRows';
import { GroupGoals } from './GroupGoals';
import { SetGoals } from './SetGoals';

/** Term goals as lanes: set for all at once by how likely they should be, or one by one. */
export default function Goals() {
  const { data } = useOutletContext<Place>();
  const [search] = useSearchParams();
  const term = search.get('term');
  const goals = useQuery({
    queryKey: keys.goals(data.id, term),
    queryFn: () =>
      ok(
        api.GET('/classes/{classId}/goals', {
          params: { path: { classId: data.id }, query: term ? { termId: term } : {} },
        }),
      ),
  });
  return <Show query={goals}>{(g) => <Shown key={g.term?.id} g={g} data={data} />}</Show>;
}

const usually = 0.7;

function Shown({ g, data }: { g: GoalsData; data: Place['data'] }) {
  const [search, setSearch] = useSearchParams();
  const called = calledIn(data);
  const tray = useTray();
  const said = useSaid();
  const changed = useChanged();
  const byGroup = search.get('by') === 'group';
  const kept = useKept<Setting | null>(`dc-goals-set-${data.id}-${g.term?.id ?? ''}`, null);
  const [calling, call] = useState<{ l: Line; k: OfKind } | null>(null);
  const may = data.mayAssign && g.term !== null && g.term.place !== 'Past' && g.lines.length > 0;
  const chosen = g.lines.map((l) => l.readerId).filter((id) => tray.readers.includes(id));
  const usual = Math.max(
    0,
    g.ambitions.findIndex((a) => Math.abs(a - usually) < 0.01),
  );
  // Another page asks for the goals of one reader, or of a group.
  const wanted = new Set(search.get('set')?.split(','));
  const asked = g.lines.filter((l) => wanted.has(l.readerId)).map((l) => l.readerId);
  const setting = kept.value ?? (asked.length > 0 && may ? begin(asked, usual) : null);
  const end = () => {
    kept.set(null);
    if (search.has('set')) setSearch({}, { replace: true });
  };
  const save = useMutation({
    mutationFn: (s: Setting) =>
      ok(
        api.PUT('/classes/{classId}/goals', {
          params: { path: { classId: data.id } },
          body: { targets: targetsOf(s, g.lines), reason: s.reason, termId: sure(g.term).id },
        }),
      ),
    onSuccess: async (done, s) => {
      end();
      said(
        done.changed === 0 ? t('Nothing changed') : t('Set goals for {{count}} readers', { count: s.readerIds.length }),
        done.changeId,
      );
      await changed('goals');
    },
  });
  const start = (ids: string[]) => {
    save.reset();
    kept.set(begin(ids, usual));
  };
  return (
    <div className="grid min-h-0 max-lg:grid-cols-1 max-lg:overflow-auto lg:grid-cols-[minmax(0,1fr)_auto]">
      <ListPage>
        <PageHead title={t('Goals')} beside={<Terms g={g} classId={data.id} />}>
          {g.lines.length > 0 && (
            <Segments
              label={t('Goals of')}
              value={byGroup ? 'group' : 'reader'}
              set={(by) =>
                setSearch((s) => {
                  if (by === 'group') s.set('by', by);
                  else s.delete('by');
                  return s;
                })
              }
              options={[
                { value: 'reader', label: t('Readers') },
                { value: 'group', label: t('Class and groups') },
              ]}
            />
          )}
          {may && (
            <Button
              look={setting ? 'outline' : 'main'}
              onClick={() => start(chosen.length > 0 ? chosen : g.lines.map((l) => l.readerId))}
            >
              {chosen.length > 0 ? t('Set goals for {{n}} in tray…', { n: chosen.length }) : t('Set goals for all…')}
            </Button>
          )}
        </PageHead>
        {g.term && <Legend g={g} />}
        <Body g={g} data={data} />
        {g.term && g.lines.length > 0 && byGroup && <GroupGoals g={g} data={data} set={may ? start : null} />}
        {g.term && g.lines.length > 0 && !byGroup && (
          <GoalRows
            g={g}
            called={called}
            setting={setting}
            edit={may ? (id) => start([id]) : null}
            call={data.mayAssign ? (l, k) => call({ l, k }) : null}
          />
        )}
        {calling && g.term && (
          <CallMet
            classId={data.id}
            termId={g.term.id}
            {...calling}
            name={called(calling.l.readerId, calling.l.givenName)}
            close={() => call(null)}
          />
        )}
      </ListPage>
      {setting && may && (
        <SetGoals
          g={g}
          setting={setting}
          set={kept.set}
          called={called}
          error={save.error}
          busy={save.isPending}
          save={() => save.mutate(setting)}
          close={() => {
            save.reset();
            end();
          }}
        />
      )}
    </div>
  );
}

/** Past, present and next terms. */
const Terms = ({ g, classId }: { g: GoalsData; classId: string }) => (
  <nav aria-label={t('Terms')} className="flex gap-1">
    {g.terms.map((term) => {
      const here = term.id === g.term?.id;
      return (
        <Link
          key={term.id}
          to={`/class/${classId}/goals?term=${term.id}`}
          aria-current={here ? 'page' : undefined}
          className={cx(
            'rounded-t-md border px-3 py-1 no-underline',
            here ? 'border-ink border-t-overlay bg-paper border-t-3 font-semibold' : 'border-line bg-sand',
          )}
        >
          {term.name}{' '}
          <span className="text-soft text-sm font-normal">
            {term.place === 'Past' && t('closed {{day}}', { day: shortDay(term.lastDay) })}
            {term.place === 'Next' && t('from {{day}}', { day: shortDay(term.firstDay) })}
          </span>
        </Link>
      );
    })}
  </nav>
);

const outsideWords: Record<Api<'OutsideCounts'>, Phrase> = {
  None: phrase('words: of full readings here'),
  Confirmed: phrase('words: of full readings here, and minutes elsewhere that are confirmed'),
  All: phrase('words: of full readings here, and minutes elsewhere'),
};

const Legend = ({ g }: { g: GoalsData }) => (
  <p className="text-soft flex flex-wrap items-center gap-x-4 px-4 pb-1.5 text-sm">
    {g.term?.place !== 'Past' && (
      <span>
        {t('{{count}} school days left', { count: g.schoolDaysLeft })}, {t('until')} {shortDay(g.term?.lastDay ?? '')}
      </span>
    )}
    <span className="inline-flex items-center gap-1.5">
      <svg width="26" height="10" aria-hidden>
        <path d="M0 8L12 3" stroke="var(--color-ink)" strokeWidth="1.5" />
        <path d="M12 3L26 0V8Z" fill="var(--color-depth-3)" />
      </svg>
      {t('so far, and where 9 in 10 would end')}
    </span>
    <span className="inline-flex items-center gap-1.5">
      <svg width="12" height="10" aria-hidden>
        <path d="M0 5h12" stroke="var(--color-ink)" strokeWidth="2.5" />
      </svg>
      {t('goal')}
    </span>
    <span className="inline-flex items-center gap-1.5">
      <svg width="12" height="10" aria-hidden>
        <path d="M0 5h12" stroke="var(--color-overlay)" strokeWidth="2.5" />
      </svg>
      {t('being set')}
    </span>
    <span>{t(outsideWords[g.outside])}</span>
  </p>
);

/** What is said where there is nothing to show. */
function Body({ g, data }: { g: GoalsData; data: Place['data'] }) {
  if (!g.term)
    return (
      <Empty title={t('No term')}>
        <p>{t('Goals belong to a term. This school year has none yet.')}</p>
      </Empty>
    );
  if (g.lines.length > 0) return null;
  return (
    <Empty title={t('No readers yet')}>
      <Button asChild look="main">
        <Link to={`/class/${data.id}/readers?add=1`}>{t('Add reader')}</Link>
      </Button>
    </Empty>
  );
}
