import { useMemo } from 'react';
import { Link } from 'react-router';
import { dayOf, minutes, timeOf } from '../../shared/format';
import { ticketWords } from '../../shared/ticketStates';
import { phrase, t } from '../../shared/words';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';
import type { Results } from './results';

type Reader = Results['readers'][number];

function readSaid(x: Reader) {
  if (x.full) return t('full reading');
  return x.activeSeconds > 0 ? t('opening') : '–';
}

const columnsFor = (classId: string, name: (id: string) => string): Column<Reader>[] => [
  {
    key: 'reader',
    name: phrase('Reader'),
    by: (x) => name(x.readerId),
    show: (x) => <Link to={`/class/${classId}/tickets/${x.ticketId}`}>{name(x.readerId)}</Link>,
  },
  { key: 'state', name: phrase('State'), by: (x) => t(ticketWords[x.state]), show: (x) => t(ticketWords[x.state]) },
  {
    key: 'read',
    name: phrase('Read'),
    by: (x) => Number(x.full),
    show: readSaid,
  },
  {
    key: 'time',
    name: phrase('Active time'),
    num: true,
    by: (x) => x.activeSeconds,
    show: (x) => minutes(x.activeSeconds),
  },
  {
    key: 'typed',
    name: phrase('Result'),
    num: true,
    by: (x) => (x.typed ? x.typed.points / x.typed.of : -1),
    show: (x) => (x.typed ? t('{{n}} of {{of}}', { n: x.typed.points, of: x.typed.of }) : '–'),
  },
  { key: 'notes', name: phrase('Notes'), num: true, by: (x) => x.notes, show: (x) => x.notes || '–' },
  { key: 'words', name: phrase('Kept words'), num: true, by: (x) => x.keptWords, show: (x) => x.keptWords || '–' },
  {
    key: 'in',
    name: phrase('Handed in'),
    by: (x) => x.handedInAt ?? '',
    show: (x) => (x.handedInAt ? `${dayOf(x.handedInAt)} ${timeOf(x.handedInAt)}` : '–'),
  },
];

/** Where nothing is asked: who read, for how long, what they noted and kept. */
export function WithoutQuiz({ r, classId, name }: { r: Results; classId: string; name: (id: string) => string }) {
  const columns = useMemo(() => columnsFor(classId, name), [classId, name]);
  return (
    <DataList
      list="results"
      label={t('Readers')}
      columns={columns}
      rows={r.readers}
      id={(x) => x.ticketId}
      name={(x) => name(x.readerId)}
      counted={(_, count) => t('{{count}} readers', { count })}
    />
  );
}
