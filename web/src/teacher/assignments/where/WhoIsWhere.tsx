import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { CaretLeft, CaretRight } from '@phosphor-icons/react';
import { useState } from 'react';
import { useOutletContext, useSearchParams } from 'react-router';
import { api, ok } from '../../../shared/api';
import { addDays } from '../../../shared/days';
import { shortDay } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import type { Place as ClassPlace } from '../../frame/Frame';
import { IconButton } from '../../../ui/IconButton';
import { ListPage, PageHead } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';
import { AssignmentTabs } from '../AssignmentTabs';
import { mondayOf } from '../week/weekLayout';
import { FilterWords } from './FilterWords';
import { matches, type Filter, type PlacesData } from './places';
import { PlacesTable } from './PlacesTable';
import { TicketPanel } from './TicketPanel';
import { TicketsFoot } from './TicketsFoot';

const week = 7;

/** Readers by this week's tasks: where each is, live; what a word of the head counts, it picks. */
export default function WhoIsWhere() {
  const { data } = useOutletContext<ClassPlace>();
  const [search, setSearch] = useSearchParams();
  const monday = mondayOf(search.get('week') ?? data.today);
  const to = addDays(monday, week - 1);
  const places = useQuery({
    queryKey: keys.places(data.id, monday, to),
    placeholderData: keepPreviousData,
    queryFn: () =>
      ok(api.GET('/classes/{classId}/places', { params: { path: { classId: data.id }, query: { from: monday, to } } })),
  });
  const go = (weeks: number) => setSearch({ week: addDays(monday, weeks * week) });
  return (
    <ListPage>
      <Show query={places}>
        {(d) => (
          <Shown
            key={monday}
            d={d}
            span={
              <span className="border-line inline-flex items-center gap-1 border-l pl-2.5">
                <IconButton look="plain" label={t('Week before')} onClick={() => go(-1)}>
                  <CaretLeft size={16} aria-hidden />
                </IconButton>
                <span className="text-center">
                  {t('{{from}} – {{to}}', { from: shortDay(monday), to: shortDay(addDays(monday, 4)) })}
                </span>
                <IconButton look="plain" label={t('Week after')} onClick={() => go(1)}>
                  <CaretRight size={16} aria-hidden />
                </IconButton>
              </span>
            }
          />
        )}
      </Show>
    </ListPage>
  );
}

function Shown({ d, span }: { d: PlacesData; span: React.ReactNode }) {
  const { data } = useOutletContext<ClassPlace>();
  const [filter, setFilter] = useState<Filter | null>(null);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [focused, setFocused] = useState<string | null>(null);
  const dueOf = new Map(d.plates.map((p) => [p.assignment.id, p.assignment.dueOn]));
  const those = (f: Filter) =>
    new Set(d.places.filter((k) => matches(f, k, dueOf.get(k.assignmentId) ?? null, d.today)).map((k) => k.id));
  const pick = (f: Filter) => {
    setFilter(f === filter ? null : f);
    setPicked(f === filter ? new Set() : those(f));
  };
  const ticket = d.places.find((k) => k.id === focused);
  return (
    <>
      <PageHead
        title={t('Assignments')}
        beside={
          <>
            <AssignmentTabs classId={data.id} />
            {span}
          </>
        }
      />
      {d.places.length === 0 ? (
        <Empty title={t('No assignments this week')}>
          <p>{t('What you assign for this week appears here, reader by reader.')}</p>
        </Empty>
      ) : (
        <>
          <FilterWords d={d} those={those} filter={filter} pick={pick} />
          <div className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] lg:has-[aside]:grid-cols-[minmax(0,1fr)_310px]">
            <PlacesTable
              d={d}
              data={data}
              picked={picked}
              setPicked={(ids) => {
                setFilter(null);
                setPicked(ids);
              }}
              focused={focused}
              focus={setFocused}
            />
            {ticket && <TicketPanel key={ticket.id} d={d} data={data} ticket={ticket} close={() => setFocused(null)} />}
          </div>
          {d.mayAssign && <TicketsFoot d={d} classId={data.id} picked={picked} clear={() => setPicked(new Set())} />}
        </>
      )}
    </>
  );
}
