import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext } from 'react-router';
import { get, type Api } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';

export const useMarking = (classId: string) => useQuery({ queryKey: ['marking', classId], queryFn: () => get<Api<'ToMarkRow'>[]>(`/classes/${classId}/marking`) });

/** Written answers that wait for a person, oldest first. */
export default function Marking() {
  const { data } = useOutletContext<Place>();
  const all = useMarking(data.id);
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head"><h1 id="title">{t('Marking')}</h1></div>
      <Show query={all}>{(rows) => rows.length === 0 ? <Empty title={t('Nothing waits for you')}><p>{t('What readers write in answer to a question appears here until you have marked it and let them see the result.')}</p><Link className="btn" to={`/class/${data.id}/assignments`}>{t('Assignments')}</Link></Empty> : (
        <div className="scroll" tabIndex={0} role="region" aria-labelledby="title"><table>
          <thead><tr><th>{t('Reader')}</th><th>{t('Text')}</th><th>{t('Handed in')}</th><th>{t('State')}</th><th className="num">{t('Written answers marked')}</th></tr></thead>
          <tbody>{rows.map((k) => <tr key={k.ticketId}><th scope="row"><Link to={`/class/${data.id}/tickets/${k.ticketId}`}>{k.givenName} {k.familyName}</Link></th><td>{k.title}</td><td>{dayOf(k.handedInAt)} {timeOf(k.handedInAt)}</td><td>{k.state === 'marked' ? t('marked, not yet seen by the reader') : t(k.state)}</td><td className="num">{t('{{n}} of {{of}}', { n: k.marked, of: k.written })}</td></tr>)}</tbody>
        </table></div>
      )}</Show>
    </section>
  );
}
