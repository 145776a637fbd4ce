import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { partWords } from '../../shared/parts';
import { useSession } from '../../shared/session';
import { phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Show } from '../../ui/Show';
import { SearchField } from '../../ui/TextField';
import { InviteSeveral } from './InviteSeveral';
import { Edit, Invite } from './Person';
import { PrintSheets, SignInLink, type Invited } from './SignInLink';
import { ColumnsMenu, DataTableView, TableFoot } from '../../ui/table/DataTableView';
import { type Column, useDataTable, usePicks } from '../../ui/table/useDataTable';

type Row = Api<'StaffRow'>;

const nobody: Row[] = [];

function stateOf(a: Row) {
  if (a.leftSchool) return t('has left');
  if (a.hasPassword) return a.signedInAt ? t('signed in {{day}}', { day: dayOf(a.signedInAt) }) : t('has a password');
  return a.invited ? t('invited until {{day}}', { day: dayOf(a.invited) }) : t('not invited yet');
}

const classesOf = (a: Row) =>
  a.classes
    .map((c) =>
      c.part === 'Teacher' ? c.name : t('{{name}} ({{what}})', { name: c.name, what: t(partWords[c.part]) }),
    )
    .join(', ');

const known: Column<Row>[] = [
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
];

/** Teachers, assistants and leads: inviting, new passwords, leaving. */
export default function Staff() {
  const staff = useQuery({ queryKey: keys.school.staff, queryFn: () => ok(api.GET('/school/adults')) });
  const me = useSession().data;
  const [inviting, setInviting] = useState(false);
  const [several, setSeveral] = useState(false);
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
    ...known,
    {
      key: 'do',
      name: phrase('Actions'),
      show: (a) =>
        !a.leftSchool && (
          <Actions a={a} self={a.name === me?.name} invite={() => pass.mutate(a.id)} signOut={() => out.mutate(a)} />
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
        <Button onClick={() => setSeveral(true)}>{t('Invite several…')}</Button>
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
      {several && <InviteSeveral close={() => setSeveral(false)} />}
      {inviting && <Invite close={() => setInviting(false)} done={setInvited} />}
      {editing && <Edit row={editing} close={() => setEditing(null)} />}
      {invited && <SignInLink invited={invited} close={() => setInvited(null)} />}
    </ListPage>
  );
}

function Actions({ a, self, invite, signOut }: { a: Row; self: boolean; invite: () => void; signOut: () => void }) {
  return (
    <span className="flex flex-wrap items-center gap-2">
      <Button
        size="sm"
        onClick={invite}
        aria-label={
          a.hasPassword ? t('New password for {{name}}', { name: a.name }) : t('Invite {{name}}', { name: a.name })
        }
      >
        {a.hasPassword ? t('New password') : t('Invite')}
      </Button>
      {!self && (
        <Button size="sm" onClick={signOut} aria-label={t('Sign {{name}} out everywhere', { name: a.name })}>
          {t('Sign out everywhere')}
        </Button>
      )}
    </span>
  );
}
