import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useTable, type ListColumn } from '../frame/columns';

type Row = Api<'SchoolClass'>;

const columns: ListColumn<Row>[] = [
  {
    key: 'name',
    name: 'Class',
    by: (c) => c.name.toLowerCase(),
    show: (c) => (
      <>
        <Link to={`/class/${c.id}/readers/roster`}>{c.name}</Link>
        {c.closed && <span className="soft"> {t('closed')}</span>}
      </>
    ),
  },
  { key: 'year', name: 'Year', by: (c) => c.yearName, show: (c) => c.yearName },
  { key: 'teachers', name: 'Teachers', by: (c) => c.teachers, show: (c) => c.teachers || <b>{t('no teacher')}</b> },
  { key: 'readers', name: 'Readers', num: true, by: (c) => c.readers, show: (c) => c.readers },
  {
    key: 'never',
    name: 'Never signed in',
    by: (c) => -c.never,
    show: (c) =>
      c.readers === 0 ? (
        '–'
      ) : (
        <span className="share">
          <svg width="60" height="10" aria-hidden>
            <rect width="60" height="10" fill="var(--paper)" stroke="var(--line)" />
            <rect width={(60 * c.never) / c.readers} height="10" fill="var(--depth-4)" />
          </svg>{' '}
          {t('{{n}} of {{all}}', { n: c.never, all: c.readers })}
        </span>
      ),
  },
  { key: 'code', name: 'Code', by: (c) => c.code, show: (c) => c.code },
  {
    key: 'from',
    name: 'From',
    by: (c) => (c.fromSource ? 1 : 0),
    show: (c) => (c.fromSource ? t('roster file') : t('made here')),
  },
];

/** Every class, and how signing in goes in it. Readers on the way from or to another school are above. */
export default function Classes() {
  const classes = useQuery({ queryKey: keys.school.classes, queryFn: () => ok(api.GET('/school/classes')) });
  const [closed, setClosed] = useState(false);
  const [asked, setAsked] = useState('');
  const go = useNavigate();
  const list = useTable<Row>({
    list: 'school-classes',
    columns,
    id: (c) => c.id,
    name: (c) => c.name,
    open: (c) => void go(`/class/${c.id}/readers/roster`),
  });
  return (
    <section className="listpage" aria-labelledby="title">
      <div>
        <div className="head">
          <h1 id="title">{t('Classes')}</h1>
          <input
            type="search"
            aria-label={t('Filter by class or teacher')}
            placeholder={t('Class or teacher')}
            value={asked}
            onChange={(e) => setAsked(e.target.value)}
          />
          <label>
            <input type="checkbox" checked={closed} onChange={(e) => setClosed(e.target.checked)} />
            {t('closed ones too')}
          </label>
          <span className="grow" />
          {list.picked.length > 0 && <PrintClasses ids={list.picked} />}
          {list.menu}
        </div>
        <Transfers />
      </div>
      <Show query={classes}>
        {(all) => {
          const rows = all.filter(
            (c) =>
              (closed || !c.closed) && `${c.name} ${c.teachers}`.toLowerCase().includes(asked.trim().toLowerCase()),
          );
          return rows.length === 0 ? (
            <Empty title={t('No classes here')}>
              <p>{t('Make one with “New class…”, or take in a roster file.')}</p>
            </Empty>
          ) : (
            <>
              {list.table(rows)}
              {list.foot(rows.length, all.length, t('classes'))}
            </>
          );
        }}
      </Show>
    </section>
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
        <a
          key={form}
          className="btn"
          href={`/api/school/print/${form}.pdf?classes=${ids.join(',')}`}
          target="_blank"
          rel="noreferrer"
        >
          {name}
        </a>
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
    <section className="remarks" aria-label={t('Readers changing schools')}>
      <ul className="chosen">
        {coming.map((x) => (
          <li key={x.id}>
            <b>{x.name}</b> {t('from {{school}}, since {{day}}', { school: x.fromSchool, day: dayOf(x.askedAt) })}{' '}
            <button
              className="btn small"
              onClick={() => decide(x.id, true, t('{{name}} is here now. Put them into a class.', { name: x.name }))}
            >
              {t('Take')}
            </button>
            <button className="btn small" onClick={() => decide(x.id, false, t('Declined'))}>
              {t('Decline')}
            </button>
          </li>
        ))}
        {going.map((x) => (
          <li key={x.id}>
            <b>{x.name}</b> {t('offered to {{school}}', { school: x.toSchool })}{' '}
            <button className="btn small" onClick={() => decide(x.id, false, t('{{name}} stays', { name: x.name }))}>
              {t('Take the offer back')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
