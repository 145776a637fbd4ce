import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { partWords } from '../../shared/parts';
import { useSession } from '../../shared/session';
import { useOnce } from '../../shared/once';
import { phrase, t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Form, ListPage, PageHead, Row } from '../../ui/Page';
import { Show } from '../../ui/Show';
import { SearchField, TextField } from '../../ui/TextField';
import { ColumnsMenu, DataTableView, TableFoot } from '../../ui/table/DataTableView';
import { type Column, useDataTable, usePicks } from '../../ui/table/useDataTable';

type Row = Api<'StaffRow'>;
type Invited = Api<'InvitedView'>;

const nobody: Row[] = [];

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

const classesOf = (a: Row) =>
  a.classes
    .map((c) =>
      c.part === 'Teacher' ? c.name : t('{{name}} ({{what}})', { name: c.name, what: t(partWords[c.part]) }),
    )
    .join(', ');

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
  const columns: Column<Row>[] = [
    {
      key: 'name',
      name: phrase('Name'),
      by: (a) => a.name.toLowerCase(),
      show: (a) => a.name,
      beside: (a) => (
        <>
          {a.lead && <span className="text-soft"> {t('school lead')}</span>}
          {a.post === 'Assistant' && <span className="text-soft"> {t('assistant')}</span>}
        </>
      ),
    },
    { key: 'user', name: phrase('User name'), by: (a) => a.userName.toLowerCase(), show: (a) => a.userName },
    { key: 'mail', name: phrase('Email'), by: (a) => a.mail ?? '', show: (a) => a.mail ?? '–' },
    { key: 'classes', name: phrase('Classes'), by: classesOf, show: (a) => classesOf(a) || '–' },
    { key: 'in', name: phrase('Sign-in'), by: (a) => a.signedInAt ?? '', show: stateOf },
    {
      key: 'do',
      name: phrase('Do'),
      show: (a) => (
        <span className="flex flex-wrap items-center gap-2">
          {!a.leftSchool && (
            <>
              <Button
                size="sm"
                onClick={() => pass.mutate(a.id)}
                aria-label={
                  a.hasPassword
                    ? t('New password for {{name}}', { name: a.name })
                    : t('Invite {{name}}', { name: a.name })
                }
              >
                {a.hasPassword ? t('New password') : t('Invite')}
              </Button>
              {a.name !== me?.name && (
                <Button
                  size="sm"
                  onClick={() => out.mutate(a)}
                  aria-label={t('Sign {{name}} out everywhere', { name: a.name })}
                >
                  {t('Sign out everywhere')}
                </Button>
              )}
            </>
          )}
        </span>
      ),
    },
  ];
  const picks = usePicks();
  const list = useDataTable<Row>({
    list: 'staff',
    columns,
    rows: staff.data ?? nobody,
    id: (a) => a.id,
    name: (a) => a.name,
    open: setEditing,
    asked,
    matches: (a, words) => `${a.name} ${classesOf(a)}`.toLowerCase().includes(words.trim().toLowerCase()),
    picking: picks.picking,
  });
  return (
    <ListPage>
      <PageHead
        title={t('Staff')}
        beside={
          <SearchField
            label={t('Filter by name or class')}
            placeholder={t('Name or class')}
            value={asked}
            set={setAsked}
          />
        }
      >
        {picks.picked.length > 0 && <PrintSheets ids={picks.picked} />}
        <ColumnsMenu of={list} />
        <Button look="main" onClick={() => setInviting(true)}>
          {t('Invite colleague')}
        </Button>
      </PageHead>
      <Show query={staff}>
        {() => (
          <>
            <DataTableView of={list} label={t('Staff')} />
            <TableFoot
              of={list}
              counted={(n, count) => t('{{n}} of {{count}} people', { n, count })}
              picked={t('{{count}} selected', { count: picks.picked.length })}
            />
          </>
        )}
      </Show>
      {inviting && <Invite close={() => setInviting(false)} done={setInvited} />}
      {editing && <Edit row={editing} close={() => setEditing(null)} />}
      {invited && (
        <Dialog title={t('Sign-in link for {{name}}', { name: invited.name })} close={() => setInvited(null)}>
          <p>
            {invited.mailed
              ? t('The link was sent by email. You can also give it to them:')
              : t('No email address. Give them this link or print a sheet:')}
          </p>
          <TextField label={t('Link')} bare readOnly value={invited.link} onFocus={(e) => e.target.select()} />
          <p className="text-soft text-sm">
            {t('It works once, until {{day}}. User name: {{name}}.', {
              day: dayOf(invited.until),
              name: invited.userName,
            })}
          </p>
          <DialogFoot>
            <Button
              onClick={() => void navigator.clipboard?.writeText(invited.link).then(() => toast.success(t('Copied')))}
            >
              {t('Copy link')}
            </Button>
            <Button look="main" onClick={() => setInvited(null)}>
              {t('Done')}
            </Button>
          </DialogFoot>
        </Dialog>
      )}
    </ListPage>
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
      if (!answer.ok) throw new Error(t('The sheets were not created. Nothing changed. Try again.'));
      const url = URL.createObjectURL(await answer.blob());
      if (page) page.location.href = url;
    } catch (e) {
      page?.close();
      toast.error(sentence(e));
    }
  };
  return <Button onClick={() => void print()}>{t('Print {{count}} invitation sheets', { count: ids.length })}</Button>;
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
    <Dialog title={title} close={close}>
      <Form onSubmit={(e) => void submit(e)}>
        <TextField
          label={t('Name')}
          error={fieldOf(error, 'name')}
          autoFocus
          value={form.name}
          set={(value) => setForm({ ...form, name: value })}
        />
        <TextField
          label={t('Email')}
          hint={hints?.mail}
          error={fieldOf(error, 'mail')}
          inputMode="email"
          value={form.mail}
          set={(value) => setForm({ ...form, mail: value })}
        />
        <Checkbox
          checked={form.post === 'Assistant'}
          set={(on) => setForm({ ...form, post: on ? 'Assistant' : 'Teacher' })}
        >
          {t('Assistant: helps in classes; cannot create classes or search readers')}
        </Checkbox>
        <Checkbox checked={form.lead} set={(on) => setForm({ ...form, lead: on })}>
          {t('School lead: sees and changes the whole school')}
        </Checkbox>
        {more?.(form, setForm)}
        {hints?.below && <p className="text-soft text-sm">{hints.below}</p>}
        {error && !fieldOf(error, 'name') && !fieldOf(error, 'mail') ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit">
            {act}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
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
      title={t('Invite colleague')}
      act={t('Invite')}
      start={{ name: '', mail: '', lead: false, post: 'Teacher' }}
      save={save}
      close={close}
      hints={{
        mail: t('Optional. Without one, print a sheet.'),
        below: t('They choose a password at first sign-in. Their role in a class is set on the class page.'),
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
        <Checkbox checked={form.left} set={(on) => set({ ...form, left: on })}>
          {t('Has left the school and cannot sign in')}
        </Checkbox>
      )}
    />
  );
}
