import { useOutletContext } from 'react-router';
import { t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { RosterTabs } from '../RosterTabs';
import { Choosing } from './Choosing';
import { OutsideChoice } from './OutsideChoice';
import { PoolChoice } from './PoolChoice';
import { ClassAdults } from './ClassAdults';
import { ClassCode } from './ClassCode';
import { ClassDetails } from './ClassDetails';
import { ClassEnd } from './ClassEnd';
import { useRoster } from './rosterQueries';
import { Card, PageHead, ScrollPage } from '../../../ui/Page';
import { Show } from '../../../ui/Show';

/** The class itself: its code, its name, grade and dates, who teaches it, what its readers choose, and its end. */
export default function ClassPage() {
  const { data } = useOutletContext<Place>();
  const roster = useRoster(data.id);
  return (
    <ScrollPage>
      <PageHead title={t('Readers')}>
        <RosterTabs classId={data.id} />
      </PageHead>
      <Show query={roster}>
        {(r) => (
          <div className="grid items-start gap-4 px-4 pt-1 pb-4 lg:grid-cols-[320px_minmax(0,640px)]">
            <ClassCode roster={r} />
            <div className="grid gap-4">
              <ClassDetails key={`${r.name}${r.grade}${r.firstDay}${r.lastDay}`} roster={r} />
              <ClassAdults roster={r} />
              <Choosing roster={r} />
              {r.mayChange && (
                <Card aria-labelledby="pool">
                  <h2 id="pool">{t('Tide pool')}</h2>
                  <PoolChoice classId={r.id} pool={r.pool} />
                </Card>
              )}
              {r.mayChange && (
                <Card aria-labelledby="outside">
                  <h2 id="outside">{t('Word goals')}</h2>
                  <OutsideChoice classId={r.id} outside={r.outside} />
                </Card>
              )}
              <ClassEnd roster={r} />
            </div>
          </div>
        )}
      </Show>
    </ScrollPage>
  );
}
