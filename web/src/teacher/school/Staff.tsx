import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { fieldOf, get, post, put, sentence, type Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { useSession } from '../../shared/session';
import { Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import { useRefresh, useSaid } from '../classQueries';
import { useSort } from '../frame/columns';
import { Field, Window } from '../frame/Window';

type Row = Api<'StaffRow'>;
type Invited = Api<'InvitedView'>;

const stateOf = (a: Row) => (a.leftSchool ? t('has left') : a.hasPassword ? (a.signedInAt ? t('signed in {{day}}', { day: dayOf(a.signedInAt) }) : t('has a password')) : a.invited ? t('invited until {{day}}', { day: dayOf(a.invited) }) : t('not invited yet'));

/** Teachers, assistants and leads: inviting, new passwords, leaving. */
export default function Staff() {
  const staff = useQuery({ queryKey: ['staff'], queryFn: () => get<Row[]>('/school/adults') });
  const me = useSession().data;
  const [inviting, setInviting] = useState(false);
  const [invited, setInvited] = useState<Invited | null>(null);
  const [editing, setEditing] = useState<Row | null>(null);
  const [picked, setPicked] = useState<string[]>([]);
  const [asked, setAsked] = useState('');
  const sort = useSort<Row>('name', { name: (a) => a.name.toLowerCase(), user: (a) => a.userName.toLowerCase(), mail: (a) => a.mail ?? '', classes: (a) => a.classes, in: (a) => a.signedInAt ?? '' });
  const refresh = useRefresh();
  const pass = useMutation({ mutationFn: (id: string) => post<Invited>(`/school/adults/${id}/pass`), onSuccess: (i) => { setInvited(i); void refresh(); }, onError: (e) => toast.error(sentence(e)) });
  const out = useMutation({ mutationFn: (a: Row) => post(`/school/adults/${a.id}/sign-out`), onSuccess: (_, a) => toast.success(t('{{name}} is signed out on every device', { name: a.name })), onError: (e) => toast.error(sentence(e)) });
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head"><h1 id="title">{t('Staff')}</h1><input type="search" aria-label={t('Filter by name or class')} placeholder={t('Name or class')} value={asked} onChange={(e) => setAsked(e.target.value)} /><span className="grow" />
        {picked.length > 0 && <PrintSheets ids={picked} />}<button className="btn main" onClick={() => setInviting(true)}>{t('Invite somebody')}</button></div>
      <Show query={staff}>{(all) => (
        <div className="scroll" tabIndex={0} role="region" aria-labelledby="title"><table>
          <thead><tr><th><span className="hide">{t('Pick up')}</span></th>{sort.head('name', 'Name')}{sort.head('user', 'User name')}{sort.head('mail', 'E-mail')}{sort.head('classes', 'Classes')}{sort.head('in', 'Sign-in')}<th><span className="hide">{t('Do')}</span></th></tr></thead>
          <tbody>{sort.sorted(all.filter((a) => `${a.name} ${a.classes}`.toLowerCase().includes(asked.trim().toLowerCase()))).map((a) => (
            <tr key={a.id}><td><span className="tick"><input type="checkbox" aria-label={t('Pick up {{name}}', { name: a.name })} checked={picked.includes(a.id)} onChange={() => setPicked(picked.includes(a.id) ? picked.filter((x) => x !== a.id) : [...picked, a.id])} /></span></td>
              <th scope="row"><button className="link" onClick={() => setEditing(a)}>{a.name}</button>{a.lead && <span className="soft"> {t('school lead')}</span>}</th><td>{a.userName}</td><td>{a.mail ?? '–'}</td><td>{a.classes || '–'}</td><td>{stateOf(a)}</td>
              <td><span className="row">{!a.leftSchool && <><button className="btn small" onClick={() => pass.mutate(a.id)} aria-label={a.hasPassword ? t('New password for {{name}}', { name: a.name }) : t('Invite {{name}}', { name: a.name })}>{a.hasPassword ? t('New password') : t('Invite')}</button>{a.name !== me?.name && <button className="btn small" onClick={() => out.mutate(a)} aria-label={t('Sign {{name}} out everywhere', { name: a.name })}>{t('Sign out everywhere')}</button>}</>}</span></td></tr>
          ))}</tbody>
        </table></div>
      )}</Show>
      {inviting && <Invite close={() => setInviting(false)} done={setInvited} />}
      {editing && <Edit row={editing} close={() => setEditing(null)} />}
      {invited && <Window title={t('A way in for {{name}}', { name: invited.name })} close={() => setInvited(null)}>
        <p>{invited.mailed ? t('The link was mailed. You can also give it to them:') : t('There is no e-mail address, so give them this link or print a sheet:')}</p>
        <p><input type="text" readOnly aria-label={t('Link')} value={invited.link} onFocus={(e) => e.target.select()} className="wide" /></p>
        <p className="hint">{t('It works once, until {{day}}. User name: {{name}}.', { day: dayOf(invited.until), name: invited.userName })}</p>
        <p className="row end"><button className="btn" onClick={() => void navigator.clipboard?.writeText(invited.link).then(() => toast.success(t('Copied')))}>{t('Copy the link')}</button><button className="btn main" onClick={() => setInvited(null)}>{t('Done')}</button></p></Window>}
    </section>
  );
}

/** Sheets have to be asked for with a POST, since each makes a new link. */
function PrintSheets({ ids }: { ids: string[] }) {
  const print = async () => {
    const page = window.open('', '_blank');
    try {
      const session = await get<Api<'SessionView'>>('/session');
      const answer = await fetch('/api/school/adults/passes.pdf', { method: 'POST', headers: { 'content-type': 'application/json', 'X-XSRF-TOKEN': session.token }, body: JSON.stringify({ adultIds: ids }) });
      if (!answer.ok) throw new Error(t('The sheets could not be made.'));
      const url = URL.createObjectURL(await answer.blob());
      if (page) page.location.href = url;
    } catch (e) { page?.close(); toast.error(sentence(e)); }
  };
  return <button className="btn" onClick={() => void print()}>{t('Print {{count}} invitation sheets', { count: ids.length })}</button>;
}

function Invite({ close, done }: { close: () => void; done: (i: Invited) => void }) {
  const [form, setForm] = useState({ name: '', mail: '', lead: false });
  const [error, setError] = useState<unknown>();
  const refresh = useRefresh();
  const said = useSaid();
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const made = await post<Invited>('/school/adults', { ...form, mail: form.mail || null });
      said(t('Invited {{name}}', { name: made.name }), made.changeId);
      await refresh();
      close();
      done(made);
    } catch (problem) { setError(problem); }
  };
  return (
    <Window title={t('Invite somebody')} close={close}>
      <form onSubmit={(e) => void save(e)} noValidate>
        <Field id="i-name" label={t('Name')} error={fieldOf(error, 'name')}><input id="i-name" type="text" autoFocus value={form.name} onChange={(e) => setForm({ ...form, name: e.target.value })} /></Field>
        <Field id="i-mail" label={t('E-mail')} hint={t('Empty: you print a sheet instead.')} error={fieldOf(error, 'mail')}><input id="i-mail" type="text" inputMode="email" value={form.mail} onChange={(e) => setForm({ ...form, mail: e.target.value })} /></Field>
        <label className="tickline"><input type="checkbox" checked={form.lead} onChange={(e) => setForm({ ...form, lead: e.target.checked })} />{t('School lead: sees and changes the whole school')}</label>
        <p className="hint">{t('They choose their own password at the first sign-in. Their part in a class is set on the class.')}</p>
        <p className="row end"><button type="button" className="btn" onClick={close}>{t('Cancel')}</button><button className="btn main">{t('Invite')}</button></p>
      </form>
    </Window>
  );
}

function Edit({ row, close }: { row: Row; close: () => void }) {
  const [form, setForm] = useState({ name: row.name, mail: row.mail ?? '', lead: row.lead, left: row.leftSchool });
  const [error, setError] = useState<unknown>();
  const refresh = useRefresh();
  const said = useSaid();
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const done = await put<Api<'RosterChanged'>>(`/school/adults/${row.id}`, { ...form, mail: form.mail || null });
      said(done.sentence, done.changeId);
      await refresh();
      close();
    } catch (problem) { setError(problem); }
  };
  return (
    <Window title={row.name} close={close}>
      <form onSubmit={(e) => void save(e)} noValidate>
        <Field id="e-name" label={t('Name')} error={fieldOf(error, 'name')}><input id="e-name" type="text" value={form.name} onChange={(e) => setForm({ ...form, name: e.target.value })} /></Field>
        <Field id="e-mail" label={t('E-mail')} error={fieldOf(error, 'mail')}><input id="e-mail" type="text" value={form.mail} onChange={(e) => setForm({ ...form, mail: e.target.value })} /></Field>
        <label className="tickline"><input type="checkbox" checked={form.lead} onChange={(e) => setForm({ ...form, lead: e.target.checked })} />{t('School lead')}</label>
        <label className="tickline"><input type="checkbox" checked={form.left} onChange={(e) => setForm({ ...form, left: e.target.checked })} />{t('Has left the school and may not sign in')}</label>
        {error && !fieldOf(error, 'name') && !fieldOf(error, 'mail') ? <p className="error" role="alert">{sentence(error)}</p> : null}
        <p className="row end"><button type="button" className="btn" onClick={close}>{t('Cancel')}</button><button className="btn main">{t('Save')}</button></p>
      </form>
    </Window>
  );
}
