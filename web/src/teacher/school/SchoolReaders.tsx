import { useQuery } from '@tanstack/react-query';
import { Printer } from '@phosphor-icons/react';
import { useMemo, useState } from 'react';
import { api, ok } from '../../shared/api';
import { dayOf, fm } from '../../shared/format';
import { kindName } from '../../shared/Secret';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import { depthWords } from '../readers/SetMark';
import { type SchoolReader } from './schoolReader';
import { MergeReaders } from './MergeReaders';
import { ReaderActions } from './ReaderActions';
import { Menu, MenuItem } from '../../ui/Menu';
import { ListPage, PageHead } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Empty, Show } from '../../ui/Show';
import { SearchField } from '../../ui/TextField';
import { ColumnsMenu, DataTableView, TableFoot } from '../../ui/table/DataTableView';
import { type Column, useDataTable, usePicks } from '../../ui/table/useDataTable';

const columns: Column<SchoolReader>[] = [
  {
    key: 'name',
    name: phrase('Reader'),
    show: (r) => `${r.givenName} ${r.familyName}`,
    by: (r) => `${r.givenName} ${r.familyName}`.toLowerCase(),
  },
  { key: 'grade', name: phrase('Grade'), show: (r) => (r.grade === 0 ? 'K' : String(r.grade)), by: (r) => r.grade },
  {
    key: 'classes',
    name: phrase('Classes'),
    show: (r) => (r.leftSchool ? t('has left') : r.classes || t('none')),
    by: (r) => r.classes,
  },
  { key: 'depth', name: phrase('Depth'), num: true, show: (r) => depthWords(r, fm(r.depth)), by: (r) => r.depth },
  { key: 'user', name: phrase('User name'), show: (r) => r.userName, by: (r) => r.userName },
  { key: 'kind', name: phrase('Signs in with'), show: (r) => kindName(r.secretKind), by: (r) => r.secretKind },
  {
    key: 'last',
    name: phrase('Last signed in'),
    show: (r) => (r.signedInAt ? dayOf(r.signedInAt) : t('never')),
    by: (r) => r.signedInAt ?? '',
  },
  { key: 'guardians', name: phrase('Guardians'), show: (r) => String(r.guardians || '–'), by: (r) => r.guardians },
];

const shows = {
  '': (r: SchoolReader) => !r.leftSchool,
  never: (r: SchoolReader) => !r.signedInAt && !r.leftSchool,
  none: (r: SchoolReader) => !r.classes && !r.leftSchool,
  left: (r: SchoolReader) => r.leftSchool,
};

const prints = [
  ['Cards', 'All sign-in cards'],
  ['List', 'List of all sign-ins'],
  ['Letters', 'All letters to guardians'],
] as const;

const matches = (r: SchoolReader, asked: string) =>
  `${r.givenName} ${r.familyName} ${r.userName} ${r.classes}`.toLowerCase().includes(asked.trim().toLowerCase());

/** Everybody at the school. Filters and sorts at every keystroke, and draws only the rows that are looked at. */
export default function SchoolReaders() {
  const readers = useQuery({ queryKey: keys.school.readers, queryFn: () => ok(api.GET('/school/readers')) });
  return <Show query={readers}>{(all) => <List all={all} />}</Show>;
}

function List({ all }: { all: SchoolReader[] }) {
  const [asked, setAsked] = useState('');
  const [show, setShow] = useState<keyof typeof shows>('');
  const [open, setOpen] = useState<SchoolReader | null>(null);
  const picks = usePicks();
  const rows = useMemo(() => all.filter(shows[show]), [all, show]);
  const list = useDataTable({
    list: 'school',
    columns,
    rows,
    id: (r) => r.id,
    name: (r) => `${r.givenName} ${r.familyName}`,
    asked,
    matches,
    open: setOpen,
    picking: picks.picking,
  });
  return (
    <ListPage>
      <PageHead
        title={t('Readers of the school')}
        beside={
          <>
            <SearchField
              label={t('Filter by name, user name or class')}
              placeholder={t('Name, user name or class')}
              className="w-60"
              value={asked}
              set={setAsked}
            />
            <Select
              label={t('Show')}
              inline
              value={show}
              set={setShow}
              options={[
                { value: '', label: t('current readers') },
                { value: 'never', label: t('never signed in ({{n}})', { n: all.filter(shows.never).length }) },
                { value: 'none', label: t('in no class') },
                { value: 'left', label: t('former readers') },
              ]}
            />
          </>
        }
      >
        <ColumnsMenu of={list} />
        <Menu label={t('Print')} icon={<Printer size={20} aria-hidden />}>
          {prints.map(([form, name]) => (
            <MenuItem asChild key={form}>
              <a href={`/api/school/print/${form}.pdf`} target="_blank" rel="noreferrer">
                {t(name)}
              </a>
            </MenuItem>
          ))}
        </Menu>
      </PageHead>
      {all.length === 0 ? (
        <Empty title={t('No readers yet')}>
          <p>{t('Import a roster file under “Roster files”, or let teachers add their readers.')}</p>
        </Empty>
      ) : (
        <DataTableView of={list} label={t('Readers of the school')} />
      )}
      <TableFoot
        of={list}
        counted={(n) => t('{{n}} of {{count}} readers', { n, count: all.length })}
        picked={t('{{count}} selected', { count: picks.picked.length })}
      >
        {picks.picked.length === 2 ? (
          <MergeReaders readers={all.filter((r) => picks.picking.has(r.id))} done={picks.clear} />
        ) : (
          <span className="text-soft">{t('Choose two to merge')}</span>
        )}
      </TableFoot>
      {open && <ReaderActions reader={open} close={() => setOpen(null)} />}
    </ListPage>
  );
}
