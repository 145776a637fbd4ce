import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext, useParams } from 'react-router';
import { api, ok } from '../../shared/api';
import { dayOf, fm, minutes, percent, signed, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import { calledIn } from '../classQueries';
import type { Place } from '../frame/Frame';
import { Button } from '../../ui/Button';
import { ListPage, Notice, PageHead } from '../../ui/Page';
import { Show } from '../../ui/Show';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

/** One assignment: each reader's ticket, its state and its result. The states change as readers work. */
export default function Assignment() {
  const { data } = useOutletContext<Place>();
  const called = calledIn(data);
  const { assignmentId = '' } = useParams();
  const one = useQuery({
    queryKey: keys.assignment(assignmentId),
    queryFn: () => ok(api.GET('/assignments/{assignmentId}', { params: { path: { assignmentId } } })),
  });
  return (
    <Show query={one}>
      {({ assignment: a, tickets }) => (
        <ListPage>
          <PageHead title={a.title}>
            <p className="text-soft">
              {t('given {{day}}', { day: dayOf(a.assignedAt) })}
              {a.dueOn && ` · ${t('due')} ${dayOf(a.dueOn)}`} · {t('tries per question')} {a.attempts}
            </p>
          </PageHead>
          {a.correctedAt && (
            <Notice kind="action" role="status">
              {t('This text was edited on {{day}}, after it was assigned.', { day: dayOf(a.correctedAt) })}{' '}
              <Link to={`/class/${data.id}/texts/${a.textId}`}>{t('See text history')}</Link>
            </Notice>
          )}
          <TableScroll label={t('Readers')}>
            <TableHead>
              <tr>
                <Th>{t('Reader')}</Th>
                <Th>{t('State')}</Th>
                <Th num>{t('Version')}</Th>
                <Th num>{t('Fit')}</Th>
                <Th num>{t('Page')}</Th>
                <Th num>{t('Active time')}</Th>
                <Th>{t('Handed in')}</Th>
                <Th num>{t('First try')}</Th>
                <Th num>{t('Level after')}</Th>
                <Th>
                  <span className="sr-only">{t('Open')}</span>
                </Th>
              </tr>
            </TableHead>
            <TableBody>
              {tickets.map((k) => (
                <tr key={k.id}>
                  <Th scope="row">
                    {k.givenName} {k.familyName}
                  </Th>
                  <Td>{t(ticketWords[k.state])}</Td>
                  <Td num>{fm(k.versionDepth)} fm</Td>
                  <Td num>{percent(k.forecast)}</Td>
                  <Td num>
                    {k.openedAt ? t('{{n}} of {{of}}', { n: Math.min(k.page + 1, k.pages), of: k.pages }) : '–'}
                  </Td>
                  <Td num>{minutes(k.seconds)}</Td>
                  <Td>{k.handedInAt ? `${dayOf(k.handedInAt)} ${timeOf(k.handedInAt)}` : '–'}</Td>
                  <Td num>{k.score == null ? '–' : percent(k.score)}</Td>
                  <Td num>
                    {k.afterMean == null || k.beforeMean == null
                      ? '–'
                      : `${fm(k.afterMean)} (${signed(k.afterMean - k.beforeMean)})`}
                  </Td>
                  <Td>
                    <Button asChild size="sm">
                      <Link
                        to={`/class/${data.id}/tickets/${k.id}`}
                        aria-label={t('Answers of {{name}}', { name: called(k.readerId, k.givenName) })}
                      >
                        {t('Answers')}
                      </Link>
                    </Button>
                  </Td>
                </tr>
              ))}
            </TableBody>
          </TableScroll>
        </ListPage>
      )}
    </Show>
  );
}
