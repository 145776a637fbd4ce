import { ShareNetwork } from '@phosphor-icons/react';
import { useState } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import { addDays } from '../../../shared/days';
import { shortDay } from '../../../shared/format';
import { useSession } from '../../../shared/session';
import { t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { Button } from '../../../ui/Button';
import { Menu, MenuItem, MenuLine } from '../../../ui/Menu';
import { ListPage, PageHead } from '../../../ui/Page';
import { Show } from '../../../ui/Show';
import { AssignmentTabs } from '../AssignmentTabs';
import { daysOfCheck, useChecksOn } from '../checksOf';
import { LayPlan } from '../plans/LayPlan';
import { SavePlan } from '../plans/SavePlan';
import { StreamDialog } from '../stream/StreamDialog';
import { TaskDialog } from '../TaskDialog';
import { useWeekShown, WeekSteps } from '../WeekSteps';
import { daysOfWeek, ofWeek } from './weekLayout';
import { CalendarDialog } from './CalendarDialog';
import { GiveDrafts } from './GiveDrafts';
import { PlatePanel } from './PlatePanel';
import { SuggestTexts } from './SuggestTexts';
import { useWeek, usePlan, type WeekData } from './useWeek';
import { WeekGrid } from './WeekGrid';
import { WeekKey } from './WeekKey';

/** What is given and what is prepared: rows are everybody, the groups and single readers, columns the school days. */
export default function Week() {
  const { data } = useOutletContext<Place>();
  const [feed, setFeed] = useState(false);
  const [stream, setStream] = useState(false);
  const shown = useWeekShown();
  const { monday } = shown;
  const days = useWeek(data.id, monday, addDays(monday, 2 * daysOfWeek - 1));
  return (
    <ListPage>
      <PageHead
        title={t('Assignments')}
        beside={
          <>
            <AssignmentTabs classId={data.id} />
            <WeekSteps {...shown} />
          </>
        }
      >
        {days.data?.mayAssign && (
          <>
            <Menu iconOnly label={t('Share')} icon={<ShareNetwork size={20} aria-hidden />}>
              <MenuItem onSelect={() => setStream(true)}>{t('Class stream…')}</MenuItem>
              <MenuItem onSelect={() => setFeed(true)}>{t('Due days in a calendar program…')}</MenuItem>
            </Menu>
            <Deeds data={days.data} classId={data.id} monday={monday} />
          </>
        )}
        {stream && <StreamDialog classId={data.id} close={() => setStream(false)} />}
        {feed && <CalendarDialog data={data} close={() => setFeed(false)} />}
      </PageHead>
      <Show query={days}>{(d) => <Planned d={d} monday={monday} />}</Show>
    </ListPage>
  );
}

function Deeds({ data, classId, monday }: { data: WeekData; classId: string; monday: string }) {
  const plan = usePlan(classId);
  const [giving, setGiving] = useState(false);
  const [suggesting, setSuggesting] = useState(false);
  const [adding, setAdding] = useState(false);
  const [planning, setPlanning] = useState<'use' | 'save' | null>(null);
  const { data: room } = useOutletContext<Place>();
  const navigate = useNavigate();
  const next = addDays(monday, daysOfWeek);
  const here = ofWeek(data.plates, monday);
  const planned = [...here, ...ofWeek(data.plates, next)];
  const drafts = data.plates.filter((p) => p.assignment.draft);
  const checks = useChecksOn(classId, monday, addDays(next, daysOfWeek - 1));
  const me = useSession().data?.id;
  const opening = checks.filter((k) => daysOfCheck(k).first >= monday && (k.opensOn !== null || !k.draft));
  const draftChecks = opening.filter((k) => k.draft && k.madeBy === me);
  const allDrafts = drafts.length + draftChecks.length;
  return (
    <>
      <Menu label={t('Add')}>
        <MenuItem onSelect={() => setSuggesting(true)}>{t('Suggested texts…')}</MenuItem>
        <MenuItem onSelect={() => setAdding(true)}>{t('Task without text…')}</MenuItem>
        <MenuItem onSelect={() => setPlanning('use')}>{t('Plan…')}</MenuItem>
        <MenuItem onSelect={() => void navigate('checks/new')}>{t('Level check…')}</MenuItem>
        <MenuLine />
        <MenuItem disabled={planned.length + opening.length === 0} onSelect={() => setPlanning('save')}>
          {t('Save weeks as plan…')}
        </MenuItem>
      </Menu>
      {planning === 'use' && <LayPlan plan={null} data={room} readers={[]} close={() => setPlanning(null)} />}
      {planning === 'save' && (
        <SavePlan classId={classId} monday={monday} plates={planned} checks={opening} close={() => setPlanning(null)} />
      )}
      {adding && <TaskDialog data={room} readers={[]} close={() => setAdding(false)} />}
      {suggesting && (
        <SuggestTexts d={data} monday={monday} classId={classId} plan={plan} close={() => setSuggesting(false)} />
      )}
      <Button
        disabled={here.length === 0}
        onClick={() =>
          void plan.quietly(
            plan.copy(
              here.map((p) => p.assignment.id),
              daysOfWeek,
            ),
          )
        }
      >
        {t('Copy to week of {{day}}', { day: shortDay(next) })}
      </Button>
      {allDrafts > 0 && (
        <Button look="main" onClick={() => setGiving(true)}>
          {t('Assign {{count}} drafts…', { count: allDrafts })}
        </Button>
      )}
      {giving && (
        <GiveDrafts classId={classId} data={data} drafts={drafts} checks={draftChecks} close={() => setGiving(false)} />
      )}
    </>
  );
}

function Planned({ d, monday }: { d: WeekData; monday: string }) {
  const { data } = useOutletContext<Place>();
  const [chosen, setChosen] = useState<string | null>(null);
  const plate = d.plates.find((p) => p.assignment.id === chosen);
  return (
    <div className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] lg:has-[aside]:grid-cols-[minmax(0,1fr)_310px]">
      <div className="flex min-h-0 min-w-0 flex-col">
        <WeekGrid d={d} monday={monday} classId={data.id} chosen={chosen} choose={setChosen} />
        <WeekKey kinds={new Set(d.plates.map((p) => p.assignment.kind))} />
      </div>
      {plate && (
        <PlatePanel key={plate.assignment.id} plate={plate} classId={data.id} d={d} close={() => setChosen(null)} />
      )}
    </div>
  );
}
