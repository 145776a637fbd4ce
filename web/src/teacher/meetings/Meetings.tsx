import { CaretLeft, CaretRight, Plus } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import type { Api } from '../../shared/api';
import { addDays } from '../../shared/days';
import { dayOf } from '../../shared/format';
import { strands } from '../../shared/strands';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import type { Place } from '../frame/Frame';
import { GroupViews } from '../groups/GroupViews';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';
import { EditMeeting } from './EditMeeting';
import { PlanWeek } from './PlanWeek';
import { pointName, pointOf, type Meeting } from './points';
import { useWeek, type Week } from './useMeetings';

const days = 7;
type Editing = { groupId: string; day: string; meeting: Meeting | null; strand?: Api<'Strand'> };

/** The meeting that the address asks to plan: of a group, on the next school day of the week, with a strand to teach. */
function askedFor(search: URLSearchParams, w: Week, today: string): Editing | null {
  const groupId = search.get('plan');
  const day = w.days.find((d) => d >= today) ?? w.days.at(-1);
  if (!groupId || !day || !w.groups.some((g) => g.groupId === groupId)) return null;
  return { groupId, day, meeting: null, strand: strands.find((s) => s === search.get('strand')) };
}

/** The meetings of a week: a row a group, a column a school day, each with its point and text. */
export default function Meetings() {
  const { data } = useOutletContext<Place>();
  const [search] = useSearchParams();
  const week = useWeek(data.id, search.get('monday'));
  return <Show query={week}>{(w) => <Shown w={w} data={data} />}</Show>;
}

function Shown({ w, data }: { w: Week; data: ClassData }) {
  const [search, setSearch] = useSearchParams();
  const [planning, plan] = useState(false);
  const may = data.mayAssign && w.groups.length > 0;
  const [editing, edit] = useState<Editing | null>(() => (may ? askedFor(search, w, data.today) : null));
  const close = () => {
    edit(null);
    if (search.has('plan')) setSearch({ monday: w.monday }, { replace: true });
  };
  const go = (by: number) => setSearch({ monday: addDays(w.monday, by) });
  return (
    <ListPage>
      <PageHead
        title={t('Meetings')}
        beside={
          <>
            <GroupViews classId={data.id} />
            <span className="flex items-center gap-1">
              <IconButton label={t('Earlier week')} onClick={() => go(-days)}>
                <CaretLeft size={20} aria-hidden />
              </IconButton>
              {t('Week of {{day}}', { day: dayOf(w.monday) })}
              <IconButton label={t('Later week')} onClick={() => go(days)}>
                <CaretRight size={20} aria-hidden />
              </IconButton>
            </span>
          </>
        }
      >
        {may && (
          <Button look="main" onClick={() => plan(true)}>
            {t('Plan this week…')}
          </Button>
        )}
      </PageHead>
      <Grid w={w} data={data} may={may} edit={edit} />
      {planning && <PlanWeek w={w} data={data} close={() => plan(false)} />}
      {editing && <EditMeeting w={w} data={data} of={editing} close={close} />}
    </ListPage>
  );
}

function Grid({ w, data, may, edit }: { w: Week; data: ClassData; may: boolean; edit: (of: Editing) => void }) {
  if (w.groups.length === 0)
    return (
      <Empty title={t('No groups yet')}>
        <p>{t('Form groups first; then their meetings are planned here.')}</p>
        <Button asChild look="main">
          <Link to={`/class/${data.id}/groups`}>{t('Groups')}</Link>
        </Button>
      </Empty>
    );
  if (w.days.length === 0)
    return (
      <Empty title={t('No school this week')}>
        <p>{t('Look at an earlier or later week.')}</p>
      </Empty>
    );
  return (
    <TableScroll label={t('Meetings of the week')} pinned className="flex-1">
      <TableHead>
        <tr>
          <Th>{t('Group')}</Th>
          {w.days.map((d) => (
            <Th key={d} aria-current={d === data.today ? 'date' : undefined}>
              {dayOf(d)}
            </Th>
          ))}
        </tr>
      </TableHead>
      <TableBody>
        {w.groups.map((g) => (
          <tr key={g.groupId} className="align-top">
            <Th scope="row">
              <span className="font-serif text-lg font-semibold">{g.name}</span>
              {g.leader && <span className="block text-sm">{t('met by {{name}}', { name: g.leader })}</span>}
              <span className="text-soft block text-sm font-normal">
                {t('{{count}} readers', { count: g.readerIds.length })}
              </span>
              {g.points[0] && (
                <span className="text-soft block text-sm font-normal">
                  {t('needs: {{point}}', { point: pointName(g.points[0]) })}
                </span>
              )}
            </Th>
            {w.days.map((d) => (
              <Td key={d}>
                {w.meetings
                  .filter((m) => m.groupId === g.groupId && m.day === d)
                  .map((m) => (
                    <Card
                      key={m.id}
                      m={m}
                      classId={data.id}
                      change={may ? () => edit({ groupId: g.groupId, day: d, meeting: m }) : null}
                    />
                  ))}
                {may && d >= data.today && !w.meetings.some((m) => m.groupId === g.groupId && m.day === d) && (
                  <IconButton
                    label={t('Plan a meeting of {{group}} on {{day}}', { group: g.name, day: dayOf(d) })}
                    onClick={() => edit({ groupId: g.groupId, day: d, meeting: null })}
                  >
                    <Plus size={18} aria-hidden />
                  </IconButton>
                )}
              </Td>
            ))}
          </tr>
        ))}
      </TableBody>
    </TableScroll>
  );
}

function Card({ m, classId, change }: { m: Meeting; classId: string; change: (() => void) | null }) {
  return (
    <div className="border-ink bg-paper mb-1 grid gap-0.5 border border-l-3 px-2 py-1 text-sm">
      <Link to={`/class/${classId}/groups/meetings/${m.id}`} className="text-base font-semibold">
        {pointOf(m)}
      </Link>
      {m.title && <span>{m.title}</span>}
      <span className="text-soft">
        {[
          m.startsAt,
          t('{{n}} min', { n: m.minutes }),
          m.endedAt ? t('held, {{count}} seen', { count: m.seen }) : m.begunAt && t('under way'),
        ]
          .filter(Boolean)
          .join(' · ')}
      </span>
      {change && !m.endedAt && (
        <span>
          <Button look="plain" size="sm" onClick={change}>
            {t('Change')}
            <span className="sr-only"> {t('meeting of {{group}}', { group: m.group })}</span>
          </Button>
        </span>
      )}
    </div>
  );
}
