import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext } from 'react-router';
import { api, ok } from '../../shared/api';
import { clock, dayOf, timeOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';

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
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Marking')}</h1>
      </div>
      <Show query={all}>
        {({ rows, heard }) =>
          rows.length + heard.length === 0 ? (
            <Empty title={t('Nothing waits for you')}>
              <p>
                {t(
                  'What readers write in answer to a question, and what they record, appears here until you have marked it.',
                )}
              </p>
              <Link className="btn" to={`/class/${data.id}/assignments`}>
                {t('Assignments')}
              </Link>
            </Empty>
          ) : (
            <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
              <table>
                <thead>
                  <tr>
                    <th>{t('Reader')}</th>
                    <th>{t('Text')}</th>
                    <th>{t('Handed in')}</th>
                    <th>{t('State')}</th>
                    <th>{t('What is left')}</th>
                  </tr>
                </thead>
                <tbody>
                  {heard.map((k) => (
                    <tr key={k.id}>
                      <th scope="row">
                        <Link to={`/class/${data.id}/readers/${k.readerId}/records/${k.id}`}>
                          {k.givenName} {k.familyName}
                        </Link>
                      </th>
                      <td>{k.title}</td>
                      <td>
                        {dayOf(k.readAt)} {timeOf(k.readAt)}
                      </td>
                      <td>
                        {k.listening === 'Heard'
                          ? t('recorded, with a draft')
                          : k.listening === 'Waiting' || k.listening === 'Listening'
                            ? t('recorded, being listened to')
                            : t('recorded')}
                      </td>
                      <td>{t('a reading of {{time}}', { time: clock(k.seconds) })}</td>
                    </tr>
                  ))}
                  {rows.map((k) => (
                    <tr key={k.ticketId}>
                      <th scope="row">
                        <Link to={`/class/${data.id}/tickets/${k.ticketId}`}>
                          {k.givenName} {k.familyName}
                        </Link>
                      </th>
                      <td>{k.title}</td>
                      <td>
                        {dayOf(k.handedInAt)} {timeOf(k.handedInAt)}
                      </td>
                      <td>{t(ticketWords[k.state])}</td>
                      <td>{t('{{n}} of {{of}} written answers marked', { n: k.marked, of: k.written })}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )
        }
      </Show>
    </section>
  );
}
