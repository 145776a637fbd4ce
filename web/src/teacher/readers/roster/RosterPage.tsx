import { DownloadSimple, Plus, Printer } from '@phosphor-icons/react';
import { DropdownMenu } from 'radix-ui';
import { useRef, useState } from 'react';
import { Link, useNavigate, useOutletContext } from 'react-router';
import { api, ok } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { kindName } from '../../../shared/Secret';
import { Empty, Show } from '../../../shared/Whole';
import { partWords, type Part } from '../../../shared/parts';
import { t } from '../../../shared/words';
import { rowKeys, useColumns } from '../../frame/columns';
import type { Place } from '../../frame/Frame';
import { Menu } from '../../frame/Menu';
import { useTray } from '../../tray/useTray';
import { RosterTabs } from '../RosterTabs';
import { BulkChange } from './BulkChange';
import { FromSchool } from './FromSchool';
import { Joinings } from './Joinings';
import { MemberDialog } from './MemberDialog';
import { MoveReaders } from './MoveReaders';
import { supportWords } from './supports';
import { TakingIn } from './TakingIn';
import { useRoster, useRosterChange, type Member, type Roster } from './rosterQueries';
import { sure } from '../../../shared/sure';
import { compare } from '../../../shared/compare';

/** The roster: who is in the class, how they sign in, and whatever is to be done with several at once. */
export default function RosterPage() {
  const { data } = useOutletContext<Place>();
  const roster = useRoster(data.id);
  return <Show query={roster}>{(r) => <RosterTable roster={r} part={data.part} />}</Show>;
}

type Column = { key: string; name: string; by: (m: Member) => string | number; show?: (m: Member) => string };
const columns: Column[] = [
  { key: 'name', name: 'Reader', by: (m) => `${m.givenName} ${m.familyName}`.toLowerCase() },
  { key: 'grade', name: 'Grade', by: (m) => m.grade, show: (m) => (m.grade === 0 ? 'K' : String(m.grade)) },
  { key: 'user', name: 'User name', by: (m) => m.userName, show: (m) => m.userName },
  { key: 'secret', name: 'Signs in with', by: (m) => m.secretKind, show: (m) => kindName(m.secretKind) },
  {
    key: 'last',
    name: 'Last signed in',
    by: (m) => m.signedInAt ?? '',
    show: (m) => (m.signedInAt ? dayOf(m.signedInAt) : t('never')),
  },
  {
    key: 'supports',
    name: 'Supports',
    by: (m) => -supportWords(m.supports).length,
    show: (m) => supportWords(m.supports).join(', ') || '–',
  },
  { key: 'guardians', name: 'Guardians', by: (m) => -m.guardians, show: (m) => String(m.guardians || '–') },
  { key: 'since', name: 'Since', by: (m) => m.since, show: (m) => dayOf(m.since) },
];

function RosterTable({ roster, part }: { roster: Roster; part: Part }) {
  const tray = useTray();
  const [asked, setAsked] = useState('');
  const [sort, setSort] = useState({ key: 'name', down: false });
  const [open, setOpen] = useState<Member | null>(null);
  const [dialog, setDialog] = useState<'school' | 'bulk' | 'move' | null>(null);
  const change = useRosterChange();
  const navigate = useNavigate();
  const list = useColumns('roster', columns);
  const last = useRef<string | null>(null);
  const by = sure(columns.find((c) => c.key === sort.key)).by;
  const words = asked.trim().toLowerCase();
  const rows = roster.members
    .filter((m) => `${m.givenName} ${m.familyName} ${m.userName}`.toLowerCase().includes(words))
    .sort((a, b) => compare(by(a), by(b)) * (sort.down ? -1 : 1));
  const picked = roster.members.filter((m) => tray.readers.includes(m.id));
  const pickedHere = rows.filter((m) => tray.readers.includes(m.id)).length;
  const ids = picked.map((m) => m.id);
  const pick = (m: Member, range: boolean) => {
    const from = rows.findIndex((x) => x.id === last.current),
      to = rows.indexOf(m);
    if (range && from >= 0)
      tray.pickReaders(
        rows.slice(Math.min(from, to), Math.max(from, to) + 1).map((x) => x.id),
        true,
      );
    else tray.toggleReader(m.id);
    last.current = m.id;
  };
  const takeOut = () =>
    change.mutate(() =>
      ok(api.POST('/classes/{classId}/remove', { params: { path: { classId: roster.id } }, body: { readerIds: ids } })),
    );
  return (
    <section className="roster" aria-labelledby="title">
      <div>
        <div className="head">
          <h1 id="title">{t('Readers')}</h1>
          <RosterTabs classId={roster.id} />
          <input
            type="search"
            className="narrow"
            aria-label={t('Filter by name')}
            placeholder={t('Name or user name')}
            value={asked}
            onChange={(e) => setAsked(e.target.value)}
          />
          <span className="grow" />
          {list.menu}
          {(roster.mayChange || (roster.assistantsPrint && ids.length === 1)) && (
            <PrintMenu classId={roster.id} picked={ids} letters={roster.mayChange} />
          )}
          <Menu label={t('Take out')} icon={<DownloadSimple size={20} aria-hidden />}>
            <DropdownMenu.Item asChild>
              <a className="item" href={`/api/classes/${roster.id}/roster.xlsx`}>
                {t('As XLSX')}
              </a>
            </DropdownMenu.Item>
            <DropdownMenu.Item asChild>
              <a className="item" href={`/api/classes/${roster.id}/roster.csv`}>
                {t('As CSV')}
              </a>
            </DropdownMenu.Item>
          </Menu>
          {roster.mayChange && (
            <Menu label={t('Add readers')} icon={<Plus size={20} aria-hidden />} main>
              <DropdownMenu.Item className="item" onSelect={() => void navigate(`/class/${roster.id}/readers?add=1`)}>
                {t('One reader…')}
              </DropdownMenu.Item>
              <DropdownMenu.Item className="item" onSelect={() => void navigate(`/class/${roster.id}/readers/many`)}>
                {t('Many: type, paste or a file…')}
              </DropdownMenu.Item>
              <DropdownMenu.Item className="item" onSelect={() => setDialog('school')}>
                {t('From the school’s readers…')}
              </DropdownMenu.Item>
            </Menu>
          )}
        </div>
        {roster.mayChange && <Joinings roster={roster} />}
        {roster.mayChange && <TakingIn roster={roster} />}
        {roster.mayChange && picked.length > 0 && (
          <div className="remarks acts" role="group" aria-label={t('With the readers picked up')}>
            <b>{t('{{count}} picked up', { count: picked.length })}:</b>
            <button className="btn small" onClick={() => setDialog('bulk')}>
              {t('Change…')}
            </button>
            <button className="btn small" onClick={() => setDialog('move')}>
              {t('Move to a class…')}
            </button>
            <button className="btn small" onClick={takeOut}>
              {t('Take out of the class')}
            </button>
          </div>
        )}
      </div>
      {roster.members.length === 0 ? (
        <Empty title={t('Nobody is in this class yet')}>
          <p>{t('Type or paste a whole list, choose a file, or find readers the school has already.')}</p>
          {roster.mayChange && (
            <p className="row">
              <Link className="btn main" to={`/class/${roster.id}/readers/many`}>
                {t('Add many readers')}
              </Link>
              <button className="btn" onClick={() => setDialog('school')}>
                {t('From the school’s readers…')}
              </button>
            </p>
          )}
        </Empty>
      ) : (
        <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
          <table>
            <thead>
              <tr>
                <th>
                  <span className="tick">
                    <input
                      type="checkbox"
                      aria-label={t('Pick up all shown')}
                      checked={pickedHere > 0 && pickedHere === rows.length}
                      ref={(box) => {
                        if (box) box.indeterminate = pickedHere > 0 && pickedHere < rows.length;
                      }}
                      onChange={() =>
                        tray.pickReaders(
                          rows.map((m) => m.id),
                          pickedHere < rows.length,
                        )
                      }
                    />
                  </span>
                </th>
                {list.shown.map((c) => (
                  <th key={c.key} aria-sort={sort.key === c.key ? (sort.down ? 'descending' : 'ascending') : undefined}>
                    <button onClick={() => setSort({ key: c.key, down: sort.key === c.key && !sort.down })}>
                      {t(c.name)}
                    </button>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((m, i) => {
                const on = tray.readers.includes(m.id);
                return (
                  <tr
                    key={m.id}
                    tabIndex={i === 0 ? 0 : -1}
                    className={on ? 'on' : undefined}
                    onKeyDown={(e) =>
                      rowKeys(
                        e,
                        (range) => pick(m, range),
                        () => setOpen(m),
                      )
                    }
                  >
                    <td>
                      <span className="tick">
                        <input
                          type="checkbox"
                          aria-label={t('Pick up {{name}}', { name: m.givenName })}
                          checked={on}
                          onChange={() => undefined}
                          onClick={(e) => pick(m, e.shiftKey)}
                        />
                      </span>
                    </td>
                    <th scope="row">
                      <button className="link" onClick={() => setOpen(m)}>
                        {m.givenName} {m.familyName}
                      </button>
                    </th>
                    {list.shown.slice(1).map((c) => (
                      <td key={c.key}>{sure(c.show)(m)}</td>
                    ))}
                  </tr>
                );
              })}
            </tbody>
          </table>
          {roster.former.length > 0 && <Former roster={roster} />}
        </div>
      )}
      <div className="foot">
        <span>
          <b>{t('{{n}} of {{all}}', { n: rows.length, all: roster.members.length })}</b> {t('readers')}
        </span>
        <span>
          {roster.mayChange
            ? t('A name opens details, supports and sign-in')
            : t('You are {{part}} here and may not change the roster', { part: t(partWords[part]) })}
        </span>
      </div>
      {open && <MemberDialog roster={roster} member={open} close={() => setOpen(null)} />}
      {dialog === 'school' && <FromSchool roster={roster} close={() => setDialog(null)} />}
      {dialog === 'bulk' && <BulkChange roster={roster} members={picked} close={() => setDialog(null)} />}
      {dialog === 'move' && <MoveReaders roster={roster} members={picked} close={() => setDialog(null)} />}
    </section>
  );
}

/** Who was in the class. They come back with one button, with all they did. */
function Former({ roster }: { roster: Roster }) {
  const change = useRosterChange();
  return (
    <details className="former">
      <summary>{t('{{count}} readers were in this class before', { count: roster.former.length })}</summary>
      <ul>
        {roster.former.map((m) => (
          <li key={m.id}>
            <b>
              {m.givenName} {m.familyName}
            </b>{' '}
            <span className="soft">{t('{{from}} to {{to}}', { from: dayOf(m.since), to: dayOf(sure(m.until)) })}</span>
            {roster.mayChange && (
              <button
                className="btn small"
                onClick={() =>
                  change.mutate(() =>
                    ok(
                      api.POST('/classes/{classId}/enrol', {
                        params: { path: { classId: roster.id } },
                        body: { readerIds: [m.id] },
                      }),
                    ),
                  )
                }
                aria-label={t('Bring {{name}} back', { name: m.givenName })}
              >
                {t('Bring back')}
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Cards, list and letters: of the readers picked up, or of everybody. */
function PrintMenu({ classId, picked, letters }: { classId: string; picked: string[]; letters: boolean }) {
  const of = (form: string, paper: string) =>
    `/api/classes/${classId}/print/${form}.pdf?paper=${paper}${picked.length > 0 ? `&readers=${picked.join(',')}` : ''}`;
  const item = (form: string, paper: string, label: string) => (
    <DropdownMenu.Item asChild key={label}>
      <a className="item" href={of(form, paper)} target="_blank" rel="noreferrer">
        {label}
      </a>
    </DropdownMenu.Item>
  );
  return (
    <Menu label={t('Print')} icon={<Printer size={20} aria-hidden />}>
      <DropdownMenu.Label className="item soft">
        {picked.length > 0 ? t('For the {{count}} picked up', { count: picked.length }) : t('For the whole class')}
      </DropdownMenu.Label>
      {item('Cards', 'a4', t('Sign-in cards, 8 to an A4 page'))}
      {item('Cards', 'letter', t('Sign-in cards, 8 to a Letter page'))}
      {item('List', 'a4', t('List of sign-ins'))}
      {letters && item('Letters', 'a4', t('Letters to guardians'))}
    </Menu>
  );
}
