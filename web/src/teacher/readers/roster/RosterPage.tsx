import { DownloadSimple, Plus } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link, useNavigate, useOutletContext } from 'react-router';
import { api, ok } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { kindName } from '../../../shared/Secret';
import { partWords, type Part } from '../../../shared/parts';
import { phrase, t } from '../../../shared/words';
import { calledIn } from '../../classQueries';
import type { Place } from '../../frame/Frame';
import { useTray } from '../../tray/useTray';
import { RosterTabs } from '../RosterTabs';
import { BulkChange } from './BulkChange';
import { Former } from './Former';
import { FromSchool } from './FromSchool';
import { Joinings } from './Joinings';
import { MemberDialog } from './MemberDialog';
import { MoveReaders } from './MoveReaders';
import { PrintMenu } from './PrintMenu';
import { supportWords } from './supports';
import { TakingIn } from './TakingIn';
import { useRoster, useRosterChange, type Member, type Roster } from './rosterQueries';
import { Button } from '../../../ui/Button';
import { Menu, MenuItem } from '../../../ui/Menu';
import { ListPage, Notice, PageHead, Row } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';
import { SearchField } from '../../../ui/TextField';
import { ColumnsMenu, DataTableView, TableFoot } from '../../../ui/table/DataTableView';
import { type Column, type DataTable, pickWords, useDataTable } from '../../../ui/table/useDataTable';

/** The roster: who is in the class, how they sign in, and whatever is to be done with several at once. */
export default function RosterPage() {
  const { data } = useOutletContext<Place>();
  const roster = useRoster(data.id);
  return <Show query={roster}>{(r) => <RosterTable roster={r} part={data.part} />}</Show>;
}

const columns: Column<Member>[] = [
  {
    key: 'name',
    name: phrase('Reader'),
    by: (m) => `${m.givenName} ${m.familyName}`.toLowerCase(),
    show: (m) => `${m.givenName} ${m.familyName}`,
  },
  { key: 'grade', name: phrase('Grade'), by: (m) => m.grade, show: (m) => (m.grade === 0 ? 'K' : String(m.grade)) },
  { key: 'user', name: phrase('User name'), by: (m) => m.userName, show: (m) => m.userName },
  { key: 'secret', name: phrase('Signs in with'), by: (m) => m.secretKind, show: (m) => kindName(m.secretKind) },
  {
    key: 'last',
    name: phrase('Last signed in'),
    by: (m) => m.signedInAt ?? '',
    show: (m) => (m.signedInAt ? dayOf(m.signedInAt) : t('never')),
  },
  {
    key: 'supports',
    name: phrase('Supports'),
    by: (m) => -supportWords(m.supports).length,
    show: (m) => supportWords(m.supports).join(', ') || '–',
  },
  { key: 'guardians', name: phrase('Guardians'), by: (m) => -m.guardians, show: (m) => String(m.guardians || '–') },
  { key: 'since', name: phrase('Since'), by: (m) => m.since, show: (m) => dayOf(m.since) },
];

const matches = (m: Member, asked: string) =>
  `${m.givenName} ${m.familyName} ${m.userName}`.toLowerCase().includes(asked.trim().toLowerCase());

type Opened = 'school' | 'bulk' | 'move' | null;

function RosterTable({ roster, part }: { roster: Roster; part: Part }) {
  const called = calledIn(useOutletContext<Place>().data);
  const tray = useTray();
  const [asked, setAsked] = useState('');
  const [open, setOpen] = useState<Member | null>(null);
  const [dialog, setDialog] = useState<Opened>(null);
  const list = useDataTable({
    list: 'roster',
    columns,
    rows: roster.members,
    id: (m) => m.id,
    name: (m) => called(m.id, m.givenName),
    asked,
    matches,
    open: setOpen,
    picking: { has: (id) => tray.readers.includes(id), set: tray.pickReaders, ...pickWords() },
  });
  const picked = roster.members.filter((m) => tray.readers.includes(m.id));
  return (
    <ListPage>
      <Head roster={roster} of={list} picked={picked} asked={asked} setAsked={setAsked} show={setDialog} />
      {roster.mayChange && <Joinings roster={roster} />}
      {roster.mayChange && <TakingIn roster={roster} />}
      {roster.mayChange && picked.length > 0 && <WithPicked roster={roster} picked={picked} show={setDialog} />}
      {roster.members.length === 0 ? (
        <Empty title={t('No readers yet')}>
          <p>{t('Type or paste a list, choose a file, or find readers already at the school.')}</p>
          {roster.mayChange && (
            <Row>
              <Button asChild look="main">
                <Link to={`/class/${roster.id}/readers/many`}>{t('Add many readers')}</Link>
              </Button>
              <Button onClick={() => setDialog('school')}>{t('From school…')}</Button>
            </Row>
          )}
        </Empty>
      ) : (
        <DataTableView of={list} label={t('Readers')} />
      )}
      {roster.former.length > 0 && <Former roster={roster} />}
      <TableFoot of={list} counted={(n, count) => t('{{n}} of {{count}} readers', { n, count })}>
        <span className="text-soft ml-auto">
          {roster.mayChange
            ? t('Open a name for details, supports and sign-in')
            : t('As {{part}} you cannot change the roster', { part: t(partWords[part]) })}
        </span>
      </TableFoot>
      {open && <MemberDialog roster={roster} member={open} close={() => setOpen(null)} />}
      {dialog === 'school' && <FromSchool roster={roster} close={() => setDialog(null)} />}
      {dialog === 'bulk' && <BulkChange roster={roster} members={picked} close={() => setDialog(null)} />}
      {dialog === 'move' && <MoveReaders roster={roster} members={picked} close={() => setDialog(null)} />}
    </ListPage>
  );
}

function Head({
  roster,
  of,
  picked,
  asked,
  setAsked,
  show,
}: {
  roster: Roster;
  of: DataTable<Member>;
  picked: Member[];
  asked: string;
  setAsked: (asked: string) => void;
  show: (dialog: Opened) => void;
}) {
  const navigate = useNavigate();
  const ids = picked.map((m) => m.id);
  return (
    <PageHead
      title={t('Readers')}
      beside={
        <>
          <RosterTabs classId={roster.id} />
          <SearchField
            label={t('Filter by name')}
            placeholder={t('Name or user name')}
            className="w-55"
            value={asked}
            set={setAsked}
          />
        </>
      }
    >
      <ColumnsMenu of={of} />
      {(roster.mayChange || (roster.assistantsPrint && ids.length === 1)) && (
        <PrintMenu classId={roster.id} picked={ids} letters={roster.mayChange} />
      )}
      <Menu label={t('Export')} icon={<DownloadSimple size={20} aria-hidden />}>
        <MenuItem asChild>
          <a href={`/api/classes/${roster.id}/roster.xlsx`}>{t('As XLSX')}</a>
        </MenuItem>
        <MenuItem asChild>
          <a href={`/api/classes/${roster.id}/roster.csv`}>{t('As CSV')}</a>
        </MenuItem>
      </Menu>
      {roster.mayChange && (
        <Menu look="main" label={t('Add readers')} icon={<Plus size={20} aria-hidden />}>
          <MenuItem onSelect={() => void navigate(`/class/${roster.id}/readers?add=1`)}>{t('One reader…')}</MenuItem>
          <MenuItem onSelect={() => void navigate(`/class/${roster.id}/readers/many`)}>{t('Many readers…')}</MenuItem>
          <MenuItem onSelect={() => show('school')}>{t('From school…')}</MenuItem>
        </Menu>
      )}
    </PageHead>
  );
}

/** What can be done with several at once. */
function WithPicked({ roster, picked, show }: { roster: Roster; picked: Member[]; show: (dialog: Opened) => void }) {
  const change = useRosterChange();
  const readerIds = picked.map((m) => m.id);
  const takeOut = () =>
    change.mutate(() =>
      ok(api.POST('/classes/{classId}/remove', { params: { path: { classId: roster.id } }, body: { readerIds } })),
    );
  return (
    <Notice kind="action" row role="group" aria-label={t('Readers in tray')}>
      <b>{t('{{count}} in tray', { count: picked.length })}:</b>
      <Button size="sm" onClick={() => show('bulk')}>
        {t('Change…')}
      </Button>
      <Button size="sm" onClick={() => show('move')}>
        {t('Move to a class…')}
      </Button>
      <Button size="sm" onClick={takeOut}>
        {t('Remove from class')}
      </Button>
    </Notice>
  );
}
