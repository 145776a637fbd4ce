import { Printer } from '@phosphor-icons/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { get, post, sentence, type Api } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { Empty, Show } from '../../../shared/Whole';
import { t } from '../../../shared/words';
import { useRefresh } from '../../classQueries';
import { useSort } from '../../frame/columns';
import type { Place } from '../../frame/Frame';
import { RosterTabs } from '../RosterTabs';

type Row = Api<'GuardianRow'>;

const codeWords = (r: Row) => (r.codeWithdrawn ? t('withdrawn') : r.codeUntil == null ? t('no letter yet') : new Date(r.codeUntil) < new Date() ? t('expired') : r.codeUsed ? t('used, until {{day}}', { day: dayOf(r.codeUntil) }) : t('open until {{day}}', { day: dayOf(r.codeUntil) }));

/** Who follows which reader, and the codes in the letters. */
export default function Guardians() {
  const { data } = useOutletContext<Place>();
  const rows = useQuery({ queryKey: ['guardians', data.id], queryFn: () => get<Row[]>(`/classes/${data.id}/guardians`), enabled: data.mayChangeRoster });
  const [asked, setAsked] = useState('');
  const sort = useSort<Row>('name', { name: (r) => `${r.givenName} ${r.familyName}`.toLowerCase(), guardians: (r) => r.guardians, mail: (r) => r.guardianMail ?? '', code: codeWords });
  const refresh = useRefresh();
  const withdraw = useMutation({ mutationFn: ({ id, guardians }: { id: string; guardians: boolean }) => post<Api<'RosterWithdrawn'>>(`/readers/${id}/guardian-code/withdraw`, { guardians }), onSuccess: (done) => { toast.success(done.sentence); void refresh(); }, onError: (e) => toast.error(sentence(e)) });
  return (
    <section className="roster" aria-labelledby="title">
      <div className="head"><h1 id="title">{t('Readers')}</h1><RosterTabs classId={data.id} /><input type="search" className="narrow" aria-label={t('Filter by name')} placeholder={t('Name')} value={asked} onChange={(e) => setAsked(e.target.value)} /><span className="grow" /><a className="btn" href={`/api/classes/${data.id}/print/letters.pdf`} target="_blank" rel="noreferrer"><Printer size={20} aria-hidden />{t('Letters for the whole class')}</a></div>
      {!data.mayChangeRoster ? <Empty title={t('Only teachers see guardians')}><p>{t('Assistants see the readers, but not who follows them at home.')}</p></Empty> : <Show query={rows}>{(all) => (
        <div className="scroll" tabIndex={0} role="region" aria-labelledby="title"><table>
          <thead><tr>{sort.head('name', 'Reader')}{sort.head('guardians', 'Guardians')}{sort.head('mail', 'E-mail on the roster')}{sort.head('code', 'Code in the letter')}<th><span className="hide">{t('Letter and code')}</span></th></tr></thead>
          <tbody>{sort.sorted(all.filter((r) => `${r.givenName} ${r.familyName} ${r.guardians}`.toLowerCase().includes(asked.trim().toLowerCase()))).map((r) => (
            <tr key={r.readerId}><th scope="row">{r.givenName} {r.familyName}</th><td>{r.guardians || '–'}</td><td>{r.guardianMail ?? '–'}</td><td>{codeWords(r)}</td>
              <td><span className="row"><a className="btn small" href={`/api/classes/${data.id}/print/letters.pdf?readers=${r.readerId}`} target="_blank" rel="noreferrer" aria-label={t('Letter for {{name}}', { name: r.givenName })}>{t('Letter')}</a>
                {r.codeUntil && !r.codeWithdrawn && <button className="btn small" aria-label={t('Withdraw the code of {{name}}', { name: r.givenName })} onClick={() => withdraw.mutate({ id: r.readerId, guardians: false })}>{t('Withdraw the code')}</button>}
                {r.guardians && <button className="btn small" aria-label={t('End the guardians of {{name}}', { name: r.givenName })} onClick={() => withdraw.mutate({ id: r.readerId, guardians: true })}>{t('End access')}</button>}</span></td></tr>
          ))}</tbody>
        </table></div>
      )}</Show>}
      <div className="foot"><span>{t('Guardians see their own child only: the level in words, readings and goals.')}</span></div>
    </section>
  );
}
