import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { useSession } from '../../shared/session';
import { Show } from '../../shared/Whole';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { useTable, type ListColumn } from '../frame/columns';
import { Field, Window } from '../frame/Window';

type Row = Api<'StaffRow'>;
type Invited = Api<'InvitedView'>;

const stateOf = (a: Row) =>
  a.leftSchool
    ? t('has left')
    : a.hasPassword
      ? a.signedInAt
        ? t('signed in {{day}}', { day: dayOf(a.signedInAt) })
        : t('has a password')
      : a.invited
        ? t('invited until {{day}}', { day: dayOf(a.invited) })
        : t('not invited yet');

/** Teachers, assistants and leads: inviting, new passwords, leaving. */
export default function Staff() {
  const staff = useQuery({ queryKey: keys.school.staff, queryFn: () => ok(api.GET('/school/adults')) });
  const me = useSession().data;
  const [inviting, setInviting] = useState(false);
  const [invited, setInvited] = useState<Invited | null>(null);
  const [editing, setEditing] = useState<Row | null>(null);
  const [asked, setAsked] = useState('');
  const changed = useChanged();
  const pass = useMutation({
    mutationFn: (id: string) => ok(api.POST('/school/adults/{adultId}/pass', { params: { path: { adultId: id } } })),
    onSuccess: (i) => {
      setInvited(i);
      void changed('staff');
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const out = useMutation({
    mutationFn: (a: Row) => ok(api.POST('/school/adults/{adultId}/sign-out', { params: { path: { adultId: a.id } } })),
    onSuccess: (_, a) => toast.success(t('{{name}} is signed out on every device', { name: a.name })),
    onError: (e) => toast.error(sentence(e)),
  });
  const columns: ListColumn<Row>[] = [
    {
      key: 'name',
      name: 'Name',
      by: (a) => a.name.toLowerCase(),
      show: (a) => (
        <>
          <button className="link" onClick={() => setEditing(a)}>
            {a.name}
          </button>
          {a.lead && <span className="soft"> {t('school lead')}</span>}
          {a.post === 'Assistant' && <span className="soft"> {t('assistant')}</span>}
        </>
      ),
    },
    { key: 'user', name: 'User name', by: (a) => a.userName.toLowerCase(), show: (a) => a.userName },
    { key: 'mail', name: 'E-mail', by: (a) => a.mail ?? '', show: (a) => a.mail ?? '–' },
    { key: 'classes', name: 'Classes', by: (a) => a.classes, show: (a) => a.classes || '–' },
    { key: 'in', name: 'Sign-in', by: (a) => a.signedInAt ?? '', show: stateOf },
    {
      key: 'do',
      name: 'Do',
      show: (a) => (
        <span className="row">
          {!a.leftSchool && (
            <>
              <button
                className="btn small"
                onClick={() => pass.mutate(a.id)}
                aria-label={
                  a.hasPassword
                    ? t('New password for {{name}}', { name: a.name })
                    : t('Invite {{name}}', { name: a.name })
                }
              >
                {a.hasPassword ? t('New password') : t('Invite')}
              </button>
              {a.name !== me?.name && (
                <button
                  className="btn small"
                  onClick={() => out.mutate(a)}
                  aria-label={t('Sign {{name}} out everywhere', { name: a.name })}
                >
                  {t('Sign out everywhere')}
                </button>
              )}
            </>
          )}
        </span>
      ),
    },
  ];
  const list = useTable<Row>({ list: 'staff', columns, id: (a) => a.id, name: (a) => a.name, open: setEditing });
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Staff')}</h1>
        <input
          type="search"
          aria-label={t('Filter by name or class')}
          placeholder={t('Name or class')}
          value={asked}
          onChange={(e) => setAsked(e.target.value)}
        />
        <span className="grow" />
        {list.picked.length > 0 && <PrintSheets ids={list.picked} />}
        {list.menu}
        <button className="btn main" onClick={() => setInviting(true)}>
          {t('Invite somebody')}
        </button>
      </div>
      <Show query={staff}>
        {(all) => {
          const rows = all.filter((a) => `${a.name} ${a.classes}`.toLowerCase().includes(asked.trim().toLowerCase()));
          return (
            <>
              {list.table(rows)}
              {list.foot(rows.length, all.length, t('people'))}
            </>
          );
        }}
      </Show>
      {inviting && <Invite close={() => setInviting(false)} done={setInvited} />}
      {editing && <Edit row={editing} close={() => setEditing(null)} />}
      {invited && (
        <Window title={t('A way in for {{name}}', { name: invited.name })} close={() => setInvited(null)}>
          <p>
            {invited.mailed
              ? t('The link was mailed. You can also give it to them:')
              : t('There is no e-mail address, so give them this link or print a sheet:')}
          </p>
          <p>
            <input
              type="text"
              readOnly
              aria-label={t('Link')}
              value={invited.link}
              onFocus={(e) => e.target.select()}
              className="wide"
            />
          </p>
          <p className="hint">
            {t('It works once, until {{day}}. User name: {{name}}.', {
              day: dayOf(invited.until),
              name: invited.userName,
            })}
          </p>
          <p className="row end">
            <button
              className="btn"
              onClick={() => void navigator.clipboard?.writeText(invited.link).then(() => toast.success(t('Copied')))}
            >
              {t('Copy the link')}
            </button>
            <button className="btn main" onClick={() => setInvited(null)}>
              {t('Done')}
            </button>
          </p>
        </Window>
      )}
    </section>
  );
}

/** Sheets have to be asked for with a POST, since each makes a new link. */
function PrintSheets({ ids }: { ids: string[] }) {
  const print = async () => {
    const page = window.open('', '_blank');
    try {
      const session = await ok(api.GET('/session'));
      const answer = await fetch('/api/school/adults/passes.pdf', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'X-XSRF-TOKEN': session.token },
        body: JSON.stringify({ adultIds: ids }),
      });
      if (!answer.ok) throw new Error(t('The sheets could not be made.'));
      const url = URL.createObjectURL(await answer.blob());
      if (page) page.location.href = url;
    } catch (e) {
      page?.close();
      toast.error(sentence(e));
    }
  };
  return (
    <button className="btn" onClick={() => void print()}>
      {t('Print {{count}} invitation sheets', { count: ids.length })}
    </button>
  );
}

type PersonForm = { name: string; mail: string; lead: boolean; post: Row['post'] };

/** The window for somebody of the staff, new or known; what differs is given. */
function Person<F extends PersonForm>({
  title,
  start,
  act,
  hints,
  more,
  save,
  close,
}: {
  title: string;
  start: F;
  act: string;
  hints?: { mail?: string; below?: string };
  more?: (form: F, set: (form: F) => void) => ReactNode;
  save: (form: F) => Promise<void>;
  close: () => void;
}) {
  const [form, setForm] = useState(start);
  const [error, setError] = useState<unknown>();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await save(form);
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Window title={title} close={close}>
      <form onSubmit={(e) => void submit(e)} noValidate>
        <Field id="p-name" label={t('Name')} error={fieldOf(error, 'name')}>
          <input
            id="p-name"
            type="text"
            autoFocus
            value={form.name}
            onChange={(e) => setForm({ ...form, name: e.target.value })}
          />
        </Field>
        <Field id="p-mail" label={t('E-mail')} hint={hints?.mail} error={fieldOf(error, 'mail')}>
          <input
            id="p-mail"
            type="text"
            inputMode="email"
            value={form.mail}
            onChange={(e) => setForm({ ...form, mail: e.target.value })}
          />
        </Field>
        <label className="tickline">
          <input
            type="checkbox"
            checked={form.post === 'Assistant'}
            onChange={(e) => setForm({ ...form, post: e.target.checked ? 'Assistant' : 'Teacher' })}
          />
          {t('Assistant: helps in classes, makes none and looks for no readers')}
        </label>
        <label className="tickline">
          <input type="checkbox" checked={form.lead} onChange={(e) => setForm({ ...form, lead: e.target.checked })} />
          {t('School lead: sees and changes the whole school')}
        </label>
        {more?.(form, setForm)}
        {hints?.below && <p className="hint">{hints.below}</p>}
        {error && !fieldOf(error, 'name') && !fieldOf(error, 'mail') ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main">{act}</button>
        </p>
      </form>
    </Window>
  );
}

function Invite({ close, done }: { close: () => void; done: (i: Invited) => void }) {
  const once = useOnce();
  const changed = useChanged();
  const said = useSaid();
  const save = async (form: PersonForm) => {
    const made = await ok(
      api.POST('/school/adults', { body: { ...form, mail: form.mail || null, id: once.idOf(form) } }),
    );
    said(t('Invited {{name}}', { name: made.name }), made.changeId);
    await changed('staff');
    close();
    done(made);
  };
  return (
    <Person
      title={t('Invite somebody')}
      act={t('Invite')}
      start={{ name: '', mail: '', lead: false, post: 'Teacher' }}
      save={save}
      close={close}
      hints={{
        mail: t('Empty: you print a sheet instead.'),
        below: t('They choose their own password at the first sign-in. Their part in a class is set on the class.'),
      }}
    />
  );
}

function Edit({ row, close }: { row: Row; close: () => void }) {
  const changed = useChanged();
  const said = useSaid();
  const save = async (form: PersonForm & { left: boolean }) => {
    const done = await ok(
      api.PUT('/school/adults/{adultId}', {
        params: { path: { adultId: row.id } },
        body: { ...form, mail: form.mail || null },
      }),
    );
    said(done.sentence, done.changeId);
    await changed('staff');
    close();
  };
  return (
    <Person
      title={row.name}
      act={t('Save')}
      start={{ name: row.name, mail: row.mail ?? '', lead: row.lead, post: row.post, left: row.leftSchool }}
      save={save}
      close={close}
      more={(form, set) => (
        <label className="tickline">
          <input type="checkbox" checked={form.left} onChange={(e) => set({ ...form, left: e.target.checked })} />
          {t('Has left the school and may not sign in')}
        </label>
      )}
    />
  );
}
