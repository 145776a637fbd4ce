import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { ListPage, Notice, PageHead, Row } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { SearchField } from '../../ui/TextField';
import { ColumnsMenu, DataTableView, TableFoot } from '../../ui/table/DataTableView';
import { type Column, useDataTable, usePicks } from '../../ui/table/useDataTable';

type Row = Api<'SchoolClass'>;

const none: Row[] = [];

const columns: Column<Row>[] = [
  {
    key: 'name',
    name: phrase('Class'),
    by: (c) => c.name.toLowerCase(),
    show: (c) => c.name,
    beside: (c) => c.closed && <span className="text-soft"> {t('archived')}</span>,
  },
  { key: 'year', name: phrase('Year'), by: (c) => c.yearName, show: (c) => c.yearName },
  {
    key: 'teachers',
    name: phrase('Teachers'),
    by: (c) => c.teachers,
    show: (c) => c.teachers || <b>{t('no teacher')}</b>,
  },
  { key: 'readers', name: phrase('Readers'), num: true, by: (c) => c.readers, show: (c) => c.readers },
  {
    key: 'never',
    name: phrase('Never signed in'),
    by: (c) => -c.never,
    show: (c) =>
      c.readers === 0 ? (
        '–'
      ) : (
        <span className="inline-flex items-center gap-2">
          <svg width="60" height="10" aria-hidden>
            <rect width="60" height="10" fill="var(--color-paper)" stroke="var(--color-line)" />
            <rect width={(60 * c.never) / c.readers} height="10" fill="var(--color-depth-4)" />
          </svg>{' '}
          {t('{{n}} of {{all}}', { n: c.never, all: c.readers })}
        </span>
      ),
  },
  { key: 'code', name: phrase('Code'), by: (c) => c.code, show: (c) => c.code },
  {
    key: 'from',
    name: phrase('From'),
    by: (c) => (c.fromSource ? 1 : 0),
    show: (c) => (c.fromSource ? t('roster file') : t('created here')),
  },
];

/** Every class, and how signing in goes in it. Readers on the way from or to another school are above. */
export default function Classes() {
  const classes = useQuery({ queryKey: keys.school.classes, queryFn: () => ok(api.GET('/school/classes')) });
  const [closed, setClosed] = useState(false);
  const [asked, setAsked] = useState('');
  const rows = useMemo(() => (classes.data ?? none).filter((c) => closed || !c.closed), [classes.data, closed]);
  const picks = usePicks();
  const list = useDataTable<Row>({
    list: 'school-classes',
    columns,
    rows,
    id: (c) => c.id,
    name: (c) => c.name,
    to: (c) => `/class/${c.id}/readers/roster`,
    asked,
    matches: (c, words) => `${c.name} ${c.teachers}`.toLowerCase().includes(words.trim().toLowerCase()),
    picking: picks.picking,
  });
  return (
    <ListPage>
      <div>
        <PageHead
          title={t('Classes')}
          beside={
            <>
              <SearchField
                label={t('Filter by class or teacher')}
                placeholder={t('Class or teacher')}
                value={asked}
                set={setAsked}
              />
              <Checkbox checked={closed} set={setClosed}>
                {t('include archived')}
              </Checkbox>
            </>
          }
        >
          {picks.picked.length > 0 && <PrintClasses ids={picks.picked} />}
          <ColumnsMenu of={list} />
        </PageHead>
        <Transfers />
      </div>
      <Show query={classes}>
        {(all) => (
          <>
            <DataTableView
              of={list}
              label={t('Classes')}
              empty={
                <Empty title={t('No classes match')}>
                  <p>{t('Create one with “New class…”, or import a roster file.')}</p>
                </Empty>
              }
            />
            <TableFoot
              of={list}
              counted={(n) => t('{{n}} of {{count}} classes', { n, count: all.length })}
              picked={t('{{count}} selected', { count: picks.picked.length })}
            />
          </>
        )}
      </Show>
    </ListPage>
  );
}

function PrintClasses({ ids }: { ids: string[] }) {
  const forms = [
    ['Cards', t('Cards of {{count}} classes', { count: ids.length })],
    ['List', t('Sign-ins of {{count}} classes', { count: ids.length })],
    ['Letters', t('Letters of {{count}} classes', { count: ids.length })],
  ];
  return (
    <>
      {forms.map(([form, name]) => (
        <Button key={form} asChild>
          <a href={`/api/school/print/${form}.pdf?classes=${ids.join(',')}`} target="_blank" rel="noreferrer">
            {name}
          </a>
        </Button>
      ))}
    </>
  );
}

function Transfers() {
  const transfers = useQuery({
    queryKey: keys.school.transfers,
    queryFn: () => ok(api.GET('/school/transfers')),
  });
  const changed = useChanged();
  const decide = (id: string, take: boolean, said: string) =>
    void ok(api.POST('/school/transfers/{transferId}', { params: { path: { transferId: id } }, body: { take } })).then(
      () => {
        toast.success(said);
        void changed('roster');
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  const { coming = [], going = [] } = transfers.data ?? {};
  if (coming.length + going.length === 0) return null;
  return (
    <Notice aria-label={t('Readers changing schools')}>
      <ul className="flex flex-wrap gap-x-6 gap-y-1.5">
        {coming.map((x) => (
          <li key={x.id} className="inline-flex items-center gap-1.5">
            <b>{x.name}</b> {t('from {{school}}, since {{day}}', { school: x.fromSchool, day: dayOf(x.askedAt) })}{' '}
            <Button
              size="sm"
              onClick={() => decide(x.id, true, t('{{name}} is here now. Add them to a class.', { name: x.name }))}
            >
              {t('Accept')}
            </Button>
            <Button size="sm" onClick={() => decide(x.id, false, t('Declined'))}>
              {t('Decline')}
            </Button>
          </li>
        ))}
        {going.map((x) => (
          <li key={x.id} className="inline-flex items-center gap-1.5">
            <b>{x.name}</b> {t('offered to {{school}}', { school: x.toSchool })}{' '}
            <Button size="sm" onClick={() => decide(x.id, false, t('{{name}} stays', { name: x.name }))}>
              {t('Take back offer')}
            </Button>
          </li>
        ))}
      </ul>
    </Notice>
  );
}
