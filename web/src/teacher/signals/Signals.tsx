import { useState } from 'react';
import { useOutletContext, useSearchParams } from 'react-router';
import type { Api } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { t } from '../../shared/words';
import { calledIn, type ClassData } from '../classQueries';
import type { Place } from '../frame/Frame';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { Segments } from '../../ui/Segments';
import { Alike } from './Alike';
import { blocksOf } from './alike';
import { Ended } from './Ended';
import { matches, SignalFilter, type Narrow } from './SignalFilter';
import { SignalRow } from './SignalRow';
import { signalKinds, type Signal } from './signals';
import { useStep } from './useStep';
import { useSignalDeeds, useSignals } from './useSignals';

type Data = Api<'SignalsView'>;
type Order = 'new' | 'grave' | 'name';

/** What the data say a teacher should look at: new and seen, put off, and how the others ended. */
export default function Signals() {
  const { data } = useOutletContext<Place>();
  const query = useSignals(data.id);
  return <Show query={query}>{(x) => <Shown x={x} data={data} />}</Show>;
}

function Shown({ x, data }: { x: Data; data: ClassData }) {
  const [search, setSearch] = useSearchParams();
  const [name, type] = useState('');
  const [order, setOrder] = useState<Order>('new');
  const by: Narrow = {
    kind: signalKinds.find((k) => k === search.get('kind')) ?? null,
    group: search.get('group'),
    name,
  };
  // Only what is changed: the address may still be on its way to what was chosen before.
  const narrow = (next: Partial<Narrow>) => {
    if (next.name !== undefined) type(next.name);
    const address = (['kind', 'group'] as const).filter((key) => key in next);
    if (address.length > 0)
      setSearch(
        (s) => {
          for (const key of address)
            if (next[key]) s.set(key, next[key]);
            else s.delete(key);
          return s;
        },
        { replace: true },
      );
  };
  const deeds = useSignalDeeds(data.id);
  const fresh = x.open.filter((s) => s.state === 'New');
  const shown = sorted(
    x.open.filter((s) => matches(s, by, data)),
    order,
    data,
  );
  return (
    <div className="grid min-h-0 max-lg:overflow-auto lg:grid-cols-[216px_minmax(0,1fr)]">
      <SignalFilter all={x.open} data={data} by={by} set={narrow} />
      <ListPage>
        <PageHead
          title={t('Signals')}
          beside={
            <p className="text-soft">
              {t('{{class}}, evidence up to {{day}}, {{time}}', {
                class: data.name,
                day: dayOf(x.upTo),
                time: timeOf(x.upTo),
              })}
            </p>
          }
        >
          <Segments
            label={t('Order')}
            value={order}
            set={setOrder}
            options={[
              { value: 'new', label: t('New first') },
              { value: 'grave', label: t('Gravest first') },
              { value: 'name', label: t('By name') },
            ]}
          />
          {data.mayAssign && fresh.length > 0 && (
            <Button onClick={() => deeds.see(fresh.map((s) => s.id))}>{t('Mark all as seen')}</Button>
          )}
        </PageHead>
        <div
          className="border-ink min-h-0 grow overflow-auto border-t"
          role="region"
          aria-label={t('Signals')}
          tabIndex={0}
        >
          <Parts shown={shown} order={order} data={data} all={x.open.length} deeds={deeds} />
        </div>
        <Ended x={x} data={data} deeds={deeds} />
      </ListPage>
    </div>
  );
}

/** New ones before those that were seen; within that by order. */
function sorted(all: Signal[], order: Order, data: ClassData) {
  const name = calledIn(data);
  const called = (s: Signal) => (s.readerId ? name(s.readerId, '') : '');
  const rank = (s: Signal) => signalKinds.indexOf(s.kind);
  const grave = (a: Signal, b: Signal) => rank(a) - rank(b);
  const late = (a: Signal, b: Signal) => b.last.localeCompare(a.last);
  const by: Record<Order, (a: Signal, b: Signal) => number> = {
    new: (a, b) => late(a, b) || grave(a, b),
    grave: (a, b) => grave(a, b) || late(a, b),
    name: (a, b) => called(a).localeCompare(called(b)) || grave(a, b),
  };
  return all.toSorted(by[order]);
}

function Parts({
  shown,
  order,
  data,
  all,
  deeds,
}: {
  shown: Signal[];
  order: Order;
  data: ClassData;
  all: number;
  deeds: ReturnType<typeof useSignalDeeds>;
}) {
  const step = useStep(data);
  const parts =
    order === 'new'
      ? [
          { name: t('New'), of: shown.filter((s) => s.state === 'New') },
          { name: t('Seen'), of: shown.filter((s) => s.state !== 'New') },
        ]
      : [{ name: t('New and seen'), of: shown }];
  if (shown.length === 0)
    return (
      <Empty title={all === 0 ? t('No signals now') : t('No such signals now')}>
        <p>
          {all === 0
            ? t('They appear here when a reader’s work stands out.')
            : t('Choose another kind, group or reader.')}
        </p>
      </Empty>
    );
  return (
    <>
      {parts
        .filter((p) => p.of.length > 0)
        .map((p) => (
          <section key={p.name} aria-label={p.name}>
            <h2 className="bg-sand border-line sticky top-0 border-b px-4 py-0.75 text-base">
              {p.name} <span className="font-normal">{p.of.length}</span>
            </h2>
            {blocksOf(p.of).map((b) => {
              const rows = (
                <ul key={b.key}>
                  {b.of.map((s) => (
                    <SignalRow
                      key={s.id}
                      s={s}
                      data={data}
                      deeds={deeds}
                      take={step.take}
                      first={s === p.of[0] && s.state === 'New'}
                    />
                  ))}
                </ul>
              );
              return b.of.length === 1 ? (
                rows
              ) : (
                <Alike key={b.key} of={b.of} data={data} step={deeds.stepped}>
                  {rows}
                </Alike>
              );
            })}
          </section>
        ))}
      {step.over}
    </>
  );
}
