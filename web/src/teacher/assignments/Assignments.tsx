import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, percent } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { AssignmentTabs } from '../checks/Checks';
import type { Place } from '../frame/Frame';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

/** Everything given to the class, latest first, and how far it is. */
export default function Assignments() {
  const { data } = useOutletContext<Place>();
  const all = useQuery({
    queryKey: keys.assignments(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/assignments', { params: { path: { classId: data.id } } })),
  });
  return (
    <ListPage>
      <PageHead title={t('Assignments')}>
        <AssignmentTabs classId={data.id} />
      </PageHead>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No assignments yet')}>
              <p>{t('Add readers and a text to the tray, then assign them there.')}</p>
              <Button asChild look="main">
                <Link to={`/class/${data.id}/texts`}>{t('Find texts')}</Link>
              </Button>
            </Empty>
          ) : (
            <TableScroll label={t('Assignments')}>
              <TableHead>
                <tr>
                  <Th>{t('Text')}</Th>
                  <Th>{t('Given')}</Th>
                  <Th>{t('Due')}</Th>
                  <Th num>{t('Readers')}</Th>
                  <Th>{t('Not opened · under way · handed in')}</Th>
                  <Th num>{t('First try')}</Th>
                </tr>
              </TableHead>
              <TableBody>
                {rows.map((a) => (
                  <tr key={a.id}>
                    <Th scope="row">
                      <Link to={`/class/${data.id}/assignments/${a.id}`}>{a.title}</Link>
                      {a.correctedAt && (
                        <small className="text-soft">
                          {' '}
                          {t('edited since, {{day}}', { day: dayOf(a.correctedAt) })}
                        </small>
                      )}
                    </Th>
                    <Td>
                      {a.chosen
                        ? t('chosen by readers, last {{day}}', { day: dayOf(a.assignedAt) })
                        : dayOf(a.assignedAt)}
                    </Td>
                    <Td>{a.dueOn ? dayOf(a.dueOn) : '–'}</Td>
                    <Td num>{a.tickets}</Td>
                    <Td>
                      <States a={a} />
                    </Td>
                    <Td num>{a.meanScore == null ? '–' : percent(a.meanScore)}</Td>
                  </tr>
                ))}
              </TableBody>
            </TableScroll>
          )
        }
      </Show>
    </ListPage>
  );
}

function States({ a }: { a: Api<'AssignmentRow'> }) {
  const width = 150,
    part = (n: number) => (n / Math.max(1, a.tickets)) * width;
  return (
    <span className="inline-flex items-center gap-2 text-sm">
      <svg width={width + 2} height="12" aria-hidden>
        <rect x="1" y="1" width={part(a.done)} height="10" fill="var(--color-depth-6)" />
        <rect x={1 + part(a.done)} y="1" width={part(a.underWay)} height="10" fill="var(--color-depth-3)" />
        <rect x=".5" y=".5" width={width} height="11" fill="none" stroke="var(--color-soft)" />
      </svg>
      {a.waiting} · {a.underWay} · {a.done}
    </span>
  );
}
