import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { get, post, sentence, type Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import { useRefresh } from '../classQueries';
import { useSort } from '../frame/columns';

/** Every class, and how signing in goes in it. Readers on the way from or to another school are above. */
export default function Classes() {
  const classes = useQuery({ queryKey: ['school-classes'], queryFn: () => get<Api<'SchoolClass'>[]>('/school/classes') });
  const [closed, setClosed] = useState(false);
  const [asked, setAsked] = useState('');
  const sort = useSort<Api<'SchoolClass'>>('name', { name: (c) => c.name.toLowerCase(), year: (c) => c.yearName, teachers: (c) => c.teachers, readers: (c) => c.readers, never: (c) => -c.never, code: (c) => c.code, from: (c) => (c.fromSource ? 1 : 0) });
  return (
    <section className="listpage" aria-labelledby="title">
      <div><div className="head"><h1 id="title">{t('Classes')}</h1><input type="search" aria-label={t('Filter by class or teacher')} placeholder={t('Class or teacher')} value={asked} onChange={(e) => setAsked(e.target.value)} /><label><input type="checkbox" checked={closed} onChange={(e) => setClosed(e.target.checked)} />{t('closed ones too')}</label></div><Transfers /></div>
      <Show query={classes}>{(all) => {
        const rows = sort.sorted(all.filter((c) => (closed || !c.closed) && `${c.name} ${c.teachers}`.toLowerCase().includes(asked.trim().toLowerCase())));
        return rows.length === 0 ? <Empty title={t('No classes here')}><p>{t('Make one with “New class…”, or take in a roster file.')}</p></Empty> : (
          <div className="scroll" tabIndex={0} role="region" aria-labelledby="title"><table>
            <thead><tr>{sort.head('name', 'Class')}{sort.head('year', 'Year')}{sort.head('teachers', 'Teachers')}{sort.head('readers', 'Readers', 'num')}{sort.head('never', 'Never signed in')}{sort.head('code', 'Code')}{sort.head('from', 'From')}</tr></thead>
            <tbody>{rows.map((c) => <tr key={c.id}><th scope="row"><Link to={`/class/${c.id}/readers/roster`}>{c.name}</Link>{c.closed && <span className="soft"> {t('closed')}</span>}</th><td>{c.yearName}</td><td>{c.teachers || <b>{t('no teacher')}</b>}</td><td className="num">{c.readers}</td>
              <td>{c.readers === 0 ? '–' : <span className="share"><svg width="60" height="10" aria-hidden><rect width="60" height="10" fill="var(--paper)" stroke="var(--line)" /><rect width={(60 * c.never) / c.readers} height="10" fill="var(--depth-4)" /></svg> {t('{{n}} of {{all}}', { n: c.never, all: c.readers })}</span>}</td><td>{c.code}</td><td>{c.fromSource ? t('roster file') : t('made here')}</td></tr>)}</tbody>
          </table></div>
        );
      }}</Show>
    </section>
  );
}

function Transfers() {
  const transfers = useQuery({ queryKey: ['transfers'], queryFn: () => get<Api<'TransfersView'>>('/school/transfers') });
  const refresh = useRefresh();
  const decide = (id: string, take: boolean, said: string) => void post(`/school/transfers/${id}`, { take }).then(() => { toast.success(said); void refresh(); }, (e: unknown) => toast.error(sentence(e)));
  const { coming = [], going = [] } = transfers.data ?? {};
  if (coming.length + going.length === 0) return null;
  return (
    <section className="remarks" aria-label={t('Readers changing schools')}>
      <ul className="chosen">
        {coming.map((x) => <li key={x.id}><b>{x.name}</b> {t('from {{school}}, since {{day}}', { school: x.fromSchool, day: dayOf(x.askedAt) })} <button className="btn small" onClick={() => decide(x.id, true, t('{{name}} is here now. Put them into a class.', { name: x.name }))}>{t('Take')}</button><button className="btn small" onClick={() => decide(x.id, false, t('Declined'))}>{t('Decline')}</button></li>)}
        {going.map((x) => <li key={x.id}><b>{x.name}</b> {t('offered to {{school}}', { school: x.toSchool })} <button className="btn small" onClick={() => decide(x.id, false, t('{{name}} stays', { name: x.name }))}>{t('Take the offer back')}</button></li>)}
      </ul>
    </section>
  );
}
