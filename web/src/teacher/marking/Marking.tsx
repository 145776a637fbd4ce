import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { clock, dayOf, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

export const useRecordings = (classId: string) =>
  useQuery({
    queryKey: keys.marking.recordings(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/recordings', { params: { path: { classId } } })),
  });
export const useMarking = (classId: string) =>
  useQuery({
    queryKey: keys.marking.tickets(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/marking', { params: { path: { classId } } })),
  });

/** A recording that waits to be marked, and whether a draft of its marks has come. */
function recordedWords(listening: Api<'ListeningState'> | null | undefined) {
  if (listening === 'Heard') return t('recorded, with a draft');
  return listening === 'Waiting' || listening === 'Listening' ? t('recorded, draft under way') : t('recorded');
}

/** What waits for a person, oldest first: written answers, and readings aloud. */
export default function Marking() {
  const { data } = useOutletContext<Place>();
  const written = useMarking(data.id);
  const recordings = useRecordings(data.id);
  const all = {
    data: written.data && recordings.data && { rows: written.data, heard: recordings.data },
    error: written.error ?? recordings.error,
    refetch: () => {
      void written.refetch();
      void recordings.refetch();
    },
  };
  return (
    <ListPage>
      <PageHead title={t('Marking')} />
      <Show query={all}>
        {({ rows, heard }) =>
          rows.length + heard.length === 0 ? (
            <Empty title={t('Nothing to mark')}>
              <p>{t('Written answers and recordings appear here until you mark them.')}</p>
              <Button asChild>
                <Link to={`/class/${data.id}/assignments`}>{t('Assignments')}</Link>
              </Button>
            </Empty>
          ) : (
            <TableScroll label={t('Marking')}>
              <TableHead>
                <tr>
                  <Th>{t('Reader')}</Th>
                  <Th>{t('Text')}</Th>
                  <Th>{t('Handed in')}</Th>
                  <Th>{t('State')}</Th>
                  <Th>{t('To mark')}</Th>
                </tr>
              </TableHead>
              <TableBody>
                {heard.map((k) => (
                  <tr key={k.id}>
                    <Th scope="row">
                      <Link to={`/class/${data.id}/readers/${k.readerId}/records/${k.id}`}>
                        {k.givenName} {k.familyName}
                      </Link>
                    </Th>
                    <Td>{k.title}</Td>
                    <Td>
                      {dayOf(k.readAt)} {timeOf(k.readAt)}
                    </Td>
                    <Td>{recordedWords(k.listening)}</Td>
                    <Td>{t('a recording of {{time}}', { time: clock(k.seconds) })}</Td>
                  </tr>
                ))}
                {rows.map((k) => (
                  <tr key={k.ticketId}>
                    <Th scope="row">
                      <Link to={`/class/${data.id}/tickets/${k.ticketId}`}>
                        {k.givenName} {k.familyName}
                      </Link>
                    </Th>
                    <Td>{k.title}</Td>
                    <Td>
                      {dayOf(k.handedInAt)} {timeOf(k.handedInAt)}
                    </Td>
                    <Td>{t(ticketWords[k.state])}</Td>
                    <Td>{t('{{n}} of {{of}} written answers marked', { n: k.marked, of: k.written })}</Td>
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
