import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok, type Api } from '../shared/api';
import { addDays } from '../shared/days';
import { dayOf, number } from '../shared/format';
import { keys } from '../shared/keys';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { Show } from '../ui/Show';
import type { Child } from './child';
import { FinishedList } from './FinishedList';
import { WeekDays } from './WeekDays';

type Week = Api<'ChildWeek'>;

/** The child's week: this one as it goes on, or one that is over with what was finished in it. */
export function ChildsWeek({ c }: { c: Child }) {
  const [monday, go] = useState(c.week.monday);
  const now = monday === c.week.monday;
  return (
    <section aria-label={t('Week')}>
      <h2 className="text-2xl leading-9">{t('{{name}}’s week', { name: c.givenName })}</h2>
      {now ? <ThisWeek c={c} /> : <PastWeek c={c} monday={monday} />}
      <p className="mt-2 flex flex-wrap gap-2 print:hidden">
        {monday > c.earliestWeek && <Button onClick={() => go(addDays(monday, -7))}>{t('Earlier week')}</Button>}
        {!now && <Button onClick={() => go(addDays(monday, 7))}>{t('Later week')}</Button>}
        {!now && <Button onClick={() => go(c.week.monday)}>{t('This week')}</Button>}
      </p>
    </section>
  );
}

const wordsOf = (week: Week) => week.days.reduce((n, d) => n + d.words, 0);
const minutesOf = (week: Week) =>
  week.minutes >= 1 ? `${t('That took about {{count}} minutes.', { count: Math.round(week.minutes) })} ` : '';

const ThisWeek = ({ c }: { c: Child }) => (
  <>
    <p>
      {t('{{name}} has read {{count}} words since Monday.', { name: c.givenName, count: wordsOf(c.week) })}{' '}
      {minutesOf(c.week)}
      {t('Last week {{n}}.', { n: number(c.week.before) })}
    </p>
    <WeekDays days={c.week.days} />
  </>
);

function PastWeek({ c, monday }: { c: Child; monday: string }) {
  const week = useQuery({
    queryKey: keys.childWeek(c.id, monday),
    queryFn: () =>
      ok(api.GET('/guardian/children/{readerId}/weeks/{monday}', { params: { path: { readerId: c.id, monday } } })),
    placeholderData: (before) => before,
  });
  return (
    <Show query={week}>
      {({ week: w, finished }) => (
        <>
          <p>
            <b>{t('Week of {{day}}.', { day: dayOf(w.monday) })}</b>{' '}
            {t('{{name}} read {{count}} words.', { name: c.givenName, count: wordsOf(w) })} {minutesOf(w)}
            {t('The week before {{n}}.', { n: number(w.before) })}
          </p>
          <WeekDays days={w.days} />
          <h3 className="mt-2">{t('Finished that week')}</h3>
          <FinishedList readings={finished} />
        </>
      )}
    </Show>
  );
}
