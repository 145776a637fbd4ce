import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, type Phrase, say, t } from '../../shared/words';
import { ChangesTable } from '../frame/ChangesTable';
import { ListPage, PageHead } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Empty, Show } from '../../ui/Show';
import { SearchField } from '../../ui/TextField';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';

/** What is undone here; the rest is undone in the class it was done in. */
const fromHere: readonly Api<'ChangeKind'>[] = ['Roster', 'Merged'];

const looks: Record<Api<'LookKind'>, Phrase> = {
  ReaderSeen: phrase('viewed'),
  RosterExported: phrase('exported the roster'),
  RecordExported: phrase('exported the record of'),
  GradebookExported: phrase('exported a gradebook'),
  CardsPrinted: phrase('printed cards'),
  ListPrinted: phrase('printed sign-ins'),
  LettersPrinted: phrase('printed letters'),
  LettersMailed: phrase('sent letters by email'),
  ReaderDeleted: phrase('deleted'),
};

/** Who changed what, who looked at or took out what, and the mail that was sent. */
export default function Log() {
  const [view, setView] = useState<'changes' | 'looks' | 'doors' | 'mail'>('changes');
  const [asked, setAsked] = useState('');
  return (
    <ListPage>
      <PageHead
        title={t('Log')}
        beside={<SearchField label={t('Filter log')} placeholder={t('Name or action')} value={asked} set={setAsked} />}
      >
        <Segments
          label={t('List')}
          value={view}
          set={setView}
          options={[
            { value: 'changes', label: t('Changes') },
            { value: 'looks', label: t('Viewed, exported, deleted') },
            { value: 'doors', label: t('Sign-ins') },
            { value: 'mail', label: t('Email sent') },
          ]}
        />
      </PageHead>
      {view === 'changes' && <Changes asked={asked} />}
      {view === 'looks' && <Looks asked={asked} />}
      {view === 'doors' && <Doors asked={asked} />}
      {view === 'mail' && <Mail asked={asked} />}
    </ListPage>
  );
}

const has = (asked: string, ...words: (string | null | undefined)[]) =>
  words.join(' ').toLowerCase().includes(asked.trim().toLowerCase());
const noMatch = () => <p className="text-soft px-4 py-3">{t('No entries match')}</p>;

function Changes({ asked }: { asked: string }) {
  const changes = useQuery({ queryKey: keys.changes('school'), queryFn: () => ok(api.GET('/school/changes')) });
  return (
    <Show query={changes}>
      {(rows) =>
        rows.length === 0 ? (
          <Empty title={t('No changes yet')} />
        ) : (
          <ChangesTable
            label={t('Changes')}
            rows={rows.filter((c) => has(asked, say(c.summary), c.by))}
            fromHere={(c) => fromHere.includes(c.kind)}
          />
        )
      }
    </Show>
  );
}

const whenOf = (at: string) => `${dayOf(at)} ${timeOf(at)}`;
const lookColumns: Column<Api<'Look'>>[] = [
  { key: 'when', name: phrase('When'), by: (l) => l.at, show: (l) => whenOf(l.at) },
  { key: 'who', name: phrase('Who'), by: (l) => l.by ?? '', show: (l) => l.by ?? '–' },
  { key: 'action', name: phrase('Action'), by: (l) => t(looks[l.what]), show: (l) => t(looks[l.what]) },
  { key: 'reader', name: phrase('Reader'), by: (l) => l.reader ?? '', show: (l) => l.reader ?? '–' },
  { key: 'note', name: phrase('Note'), by: (l) => say(l.note), show: (l) => say(l.note) },
];

function Looks({ asked }: { asked: string }) {
  const rows = useQuery({ queryKey: keys.school.looks, queryFn: () => ok(api.GET('/school/looks')) });
  return (
    <Show query={rows}>
      {(all) =>
        all.length === 0 ? (
          <Empty title={t('No views yet')}>
            <p />
          </Empty>
        ) : (
          <DataList
            list="looks"
            label={t('Viewed, exported, deleted')}
            columns={lookColumns}
            rows={all}
            id={(l) => `${l.at} ${l.by ?? ''} ${l.reader ?? ''} ${l.what}`}
            name={(l) => l.by ?? ''}
            asked={asked}
            matches={(l) => has(asked, l.by, l.reader, t(looks[l.what]), say(l.note))}
            empty={noMatch()}
            sort={{ key: 'when', down: true }}
            counted={(_, n) => t('{{n}} entries', { n })}
          />
        )
      }
    </Show>
  );
}

const doors: Record<Api<'SignInEvent'>, Phrase> = {
  SignedIn: phrase('signed in'),
  SignedOut: phrase('signed out'),
  Failed: phrase('wrong password or secret'),
  Locked: phrase('must wait after too many tries'),
  Guessing: phrase('many wrong secrets in this class'),
};

const doorColumns: Column<Api<'SignInEventRow'>>[] = [
  { key: 'when', name: phrase('When'), by: (e) => e.at, show: (e) => whenOf(e.at) },
  { key: 'who', name: phrase('Who'), by: (e) => e.who, show: (e) => e.who || '–' },
  { key: 'action', name: phrase('Action'), by: (e) => t(doors[e.kind]), show: (e) => t(doors[e.kind]) },
  { key: 'device', name: phrase('Device'), by: (e) => e.device, show: (e) => e.device },
];

function Doors({ asked }: { asked: string }) {
  const rows = useQuery({ queryKey: keys.school.signIns, queryFn: () => ok(api.GET('/school/sign-ins')) });
  return (
    <Show query={rows}>
      {(all) =>
        all.length === 0 ? (
          <Empty title={t('No sign-ins yet')}>
            <p />
          </Empty>
        ) : (
          <DataList
            list="sign-ins"
            label={t('Sign-ins')}
            columns={doorColumns}
            rows={all}
            id={(e) => `${e.at} ${e.who} ${e.kind} ${e.device}`}
            name={(e) => e.who}
            asked={asked}
            matches={(e) => has(asked, e.who, e.device, t(doors[e.kind]))}
            empty={noMatch()}
            sort={{ key: 'when', down: true }}
            counted={(_, n) => t('{{n}} entries', { n })}
          />
        )
      }
    </Show>
  );
}

function Mail({ asked }: { asked: string }) {
  const mail = useQuery({ queryKey: keys.school.mail, queryFn: () => ok(api.GET('/school/mail')) });
  return (
    <Show query={mail}>
      {(all) =>
        all.length === 0 ? (
          <Empty title={t('No email sent yet')}>
            <p>
              {t(
                phrase(
                  'Invitations, new passwords and confirmations appear here. This installation keeps email ' +
                    'here instead of sending it.',
                ),
              )}
            </p>
          </Empty>
        ) : (
          <div
            className={cx(
              'border-ink [&_details]:border-line [&_pre]:font-ui relative min-h-0 overflow-auto border-t',
              '[&_details]:border-b [&_details]:px-4 [&_details]:py-1.5 [&_pre]:py-2 [&_pre]:pl-4',
              '[&_pre]:whitespace-pre-wrap',
            )}
            tabIndex={0}
            role="region"
            aria-label={t('Email sent')}
          >
            {all
              .filter((m) => has(asked, m.subject, m.toAddress))
              .map((m) => (
                <details key={m.id}>
                  <summary>
                    {dayOf(m.madeAt)} {timeOf(m.madeAt)} <b>{m.subject}</b>{' '}
                    {t('to {{address}}', { address: m.toAddress })}
                  </summary>
                  <pre>{m.body}</pre>
                </details>
              ))}
          </div>
        )
      }
    </Show>
  );
}
