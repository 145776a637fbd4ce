import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { Link, useOutletContext } from 'react-router';
import { api, ok } from '../../../shared/api';
import { addDays } from '../../../shared/days';
import { dayOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { useSession } from '../../../shared/session';
import { t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { ListPage, PageHead } from '../../../ui/Page';
import { Show } from '../../../ui/Show';
import { LateMark } from '../../../ui/StateMark';
import { Table, TableBody, TableHead, TableScroll, Td, Th } from '../../../ui/table/Table';
import { AssignmentTabs } from '../AssignmentTabs';
import { useWeekShown, WeekSteps } from '../WeekSteps';
import { dayOfPlate, sums, type ClassPlate } from './sideBySide';

const schoolDays = 5,
  most = 12;

interface ClassRow {
  id: string;
  name: string;
  plates: readonly ClassPlate[];
}

/** A teacher's classes side by side: what each has in a week, and how far its readers are. */
export default function MyClasses() {
  const { data } = useOutletContext<Place>();
  const shown = useWeekShown();
  const { monday } = shown;
  const classes = (useSession().data?.classes ?? []).filter((c) => !c.closed).slice(0, most);
  const ids = classes.map((c) => c.id);
  const days = Array.from({ length: schoolDays }, (_, i) => addDays(monday, i));
  const to = addDays(monday, schoolDays - 1);
  const side = useQuery({
    queryKey: keys.sideBySide(ids, monday, to),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/assignments/classes', { params: { query: { classId: ids, from: monday, to } } })),
  });
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
      />
      <Show query={side}>
        {(found) => (
          <Side
            days={days}
            today={data.today}
            rows={classes.map((c) => ({
              id: c.id,
              name: c.name,
              plates: found.find((x) => x.classId === c.id)?.plates ?? [],
            }))}
          />
        )}
      </Show>
    </ListPage>
  );
}

function Side({ days, today, rows }: { days: readonly string[]; today: string; rows: readonly ClassRow[] }) {
  return (
    <TableScroll label={t('My classes')} pinned>
      <Table>
        <TableHead>
          <tr>
            <Th>{t('Class')}</Th>
            {days.map((d) => (
              <Th key={d} className={cx(d === today && 'text-overlay')}>
                {dayOf(d)}
              </Th>
            ))}
            <Th num>{t('Not opened')}</Th>
            <Th num>{t('Under way')}</Th>
            <Th num>{t('Handed in')}</Th>
            <Th num>{t('Late')}</Th>
            <Th num>{t('To mark')}</Th>
            <Th num>{t('Drafts')}</Th>
          </tr>
        </TableHead>
        <TableBody>
          {rows.map((c) => (
            <Row key={c.id} of={c} days={days} week={days[0] ?? ''} />
          ))}
        </TableBody>
      </Table>
    </TableScroll>
  );
}

function Row({ of: c, days, week }: { of: ClassRow; days: readonly string[]; week: string }) {
  const s = sums(c.plates);
  const to = `/class/${c.id}/assignments`;
  return (
    <tr className="[&>*]:py-1.5 [&>*]:align-top">
      <Th scope="row">
        <Link to={`${to}?week=${week}`}>{c.name}</Link>
      </Th>
      {days.map((d) => (
        <Td key={d} wrap className="min-w-32">
          <ul className="grid gap-1">
            {c.plates
              .filter((p) => dayOfPlate(p, days) === d)
              .map((p) => (
                <Plate key={p.assignment.id} of={p} day={d} to={to} week={week} />
              ))}
          </ul>
        </Td>
      ))}
      <Figure n={s.waiting} to={`${to}/where?week=${week}`} />
      <Figure n={s.underWay} to={`${to}/where?week=${week}`} />
      <Figure n={s.done} to={`${to}/where?week=${week}`} />
      <Figure n={s.late} to={`${to}/where?week=${week}`} />
      <Figure n={s.toMark} to={`/class/${c.id}/marking`} />
      <Figure n={s.drafts} to={`${to}?week=${week}`} />
    </tr>
  );
}

/** A title, and how many of its readers have handed it in. */
function Plate({ of: p, day, to, week }: { of: ClassPlate; day: string; to: string; week: string }) {
  const a = p.assignment;
  return (
    <li
      className={cx(
        'border-ink bg-paper border border-l-4 [border-left-style:double] px-1.5 text-sm leading-5',
        a.draft && 'border-dashed',
      )}
    >
      <Link to={a.draft ? `${to}?week=${week}` : `${to}/${a.id}`} className="no-underline hover:underline">
        {a.title}
      </Link>{' '}
      <span className="text-soft">
        {a.draft ? t('draft') : t('{{n}} of {{of}} handed in', { n: a.done, of: a.tickets })}
      </span>
      {a.dueOn && a.dueOn !== day && <span className="text-soft"> · {t('due {{day}}', { day: dayOf(a.dueOn) })}</span>}
      {p.late > 0 && (
        <>
          {' '}
          <LateMark /> {p.late}
        </>
      )}
    </li>
  );
}

const Figure = ({ n, to }: { n: number; to: string }) => <Td num>{n > 0 ? <Link to={to}>{n}</Link> : '–'}</Td>;
