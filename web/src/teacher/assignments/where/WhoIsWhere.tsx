import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useOutletContext } from 'react-router';
import { t } from '../../../shared/words';
import type { Place as ClassPlace } from '../../frame/Frame';
import { ListPage, PageHead } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';
import { AssignmentTabs } from '../AssignmentTabs';
import { useWeekShown, WeekSteps } from '../WeekSteps';
import { ChecksNow } from './ChecksNow';
import { FilterWords } from './FilterWords';
import { matches, type Filter, type PlacesData } from './places';
import { PlacesTable } from './PlacesTable';
import { TicketPanel } from './TicketPanel';
import { placesOfWeek } from './placesQuery';
import { TicketsFoot } from './TicketsFoot';

/** Readers by this week's tasks: where each is, live; what a word of the head counts, it picks. */
export default function WhoIsWhere() {
  const { data } = useOutletContext<ClassPlace>();
  const shown = useWeekShown();
  const { monday } = shown;
  const places = useQuery({ ...placesOfWeek(data.id, monday), placeholderData: keepPreviousData });
  return (
    <ListPage>
      <Show query={places}>{(d) => <Shown key={monday} d={d} monday={monday} steps={<WeekSteps {...shown} />} />}</Show>
    </ListPage>
  );
}

function Shown({ d, monday, steps }: { d: PlacesData; monday: string; steps: ReactNode }) {
  const { data } = useOutletContext<ClassPlace>();
  const [filter, setFilter] = useState<Filter | null>(null);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [focused, setFocused] = useState<string | null>(null);
  const those = (f: Filter) => new Set(d.places.filter((k) => matches(f, k, d.today)).map((k) => k.id));
  const pick = (f: Filter) => {
    setFilter(f === filter ? null : f);
    setPicked(f === filter ? new Set() : those(f));
  };
  const pickThese = (ids: ReadonlySet<string>) => {
    setFilter(null);
    setPicked(ids);
  };
  const ticket = d.places.find((k) => k.id === focused);
  return (
    <>
      <PageHead
        title={t('Assignments')}
        beside={
          <>
            <AssignmentTabs classId={data.id} />
            {steps}
          </>
        }
      />
      {d.places.length === 0 ? (
        <Empty title={t('No assignments this week')}>
          <p>{t('What you assign for this week appears here, reader by reader.')}</p>
        </Empty>
      ) : (
        <>
          <ChecksNow classId={data.id} monday={monday} />
          <FilterWords d={d} those={those} filter={filter} pick={pick} />
          <div className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] lg:has-[aside]:grid-cols-[minmax(0,1fr)_310px]">
            <PlacesTable d={d} data={data} picked={picked} setPicked={pickThese} focused={focused} focus={setFocused} />
            {ticket && <TicketPanel key={ticket.id} d={d} data={data} ticket={ticket} close={() => setFocused(null)} />}
          </div>
          {d.mayAssign && <TicketsFoot d={d} classId={data.id} picked={picked} clear={() => pickThese(new Set())} />}
        </>
      )}
    </>
  );
}
