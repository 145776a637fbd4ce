import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useUndo } from '../classQueries';

const month = 30 * 24 * 3600 * 1000;
export const undoable = (at: string) => Date.now() - new Date(at).getTime() < month;

/** What is undone here; the rest is undone in the class it was done in. */
const fromHere: readonly Api<'ChangeKind'>[] = ['Roster', 'Merged'];

const looks: Record<Api<'LookKind'>, string> = {
  ReaderSeen: 'looked at',
  RosterExported: 'took the roster out',
  RecordExported: 'took the record out of',
  CardsPrinted: 'printed cards',
  ListPrinted: 'printed sign-ins',
  LettersPrinted: 'printed letters',
  LettersMailed: 'sent letters by e-mail',
  ReaderDeleted: 'deleted',
};

/** Who changed what, who looked at or took out what, and the mail that was sent. */
export default function Log() {
  const [view, setView] = useState<'changes' | 'looks' | 'doors' | 'mail'>('changes');
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Log')}</h1>
        <span className="switch">
          {(
            [
              ['changes', 'Changes'],
              ['looks', 'Looked at, taken out, deleted'],
              ['doors', 'Sign-ins'],
              ['mail', 'Mail sent'],
            ] as const
          ).map(([key, name]) => (
            <button key={key} aria-pressed={view === key} onClick={() => setView(key)}>
              {t(name)}
            </button>
          ))}
        </span>
      </div>
      {view === 'changes' ? <Changes /> : view === 'looks' ? <Looks /> : view === 'doors' ? <Doors /> : <Mail />}
    </section>
  );
}

function Changes() {
  const changes = useQuery({ queryKey: keys.changes('school'), queryFn: () => ok(api.GET('/school/changes')) });
  const undo = useUndo();
  return (
    <Show query={changes}>
      {(rows) =>
        rows.length === 0 ? (
          <Empty title={t('Nothing has been changed yet')}>
            <p />
          </Empty>
        ) : (
          <div className="scroll" tabIndex={0} role="region" aria-label={t('Changes')}>
            <table>
              <thead>
                <tr>
                  <th>{t('When')}</th>
                  <th>{t('What')}</th>
                  <th>{t('Who')}</th>
                  <th>
                    <span className="hide">{t('Undo')}</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {rows.map((c) => (
                  <tr key={c.id}>
                    <td>
                      {dayOf(c.at)} {timeOf(c.at)}
                    </td>
                    <th scope="row" className="wrap">
                      {c.summary}
                    </th>
                    <td>{c.by}</td>
                    <td>
                      {c.undoneAt ? (
                        <span className="soft">{t('undone')}</span>
                      ) : (
                        fromHere.includes(c.kind) &&
                        undoable(c.at) && (
                          <button
                            className="btn small"
                            onClick={() => undo.mutate(c.id)}
                            aria-label={t('Undo: {{what}}', { what: c.summary })}
                          >
                            {t('Undo')}
                          </button>
                        )
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )
      }
    </Show>
  );
}

function Looks() {
  const rows = useQuery({ queryKey: keys.school.looks, queryFn: () => ok(api.GET('/school/looks')) });
  return (
    <Show query={rows}>
      {(all) =>
        all.length === 0 ? (
          <Empty title={t('Nobody has looked at anybody yet')}>
            <p />
          </Empty>
        ) : (
          <div className="scroll" tabIndex={0} role="region" aria-label={t('Looked at, taken out, deleted')}>
            <table>
              <thead>
                <tr>
                  <th>{t('When')}</th>
                  <th>{t('Who')}</th>
                  <th>{t('Did')}</th>
                  <th>{t('Reader')}</th>
                  <th>{t('Note')}</th>
                </tr>
              </thead>
              <tbody>
                {all.map((l, i) => (
                  <tr key={i}>
                    <td>
                      {dayOf(l.at)} {timeOf(l.at)}
                    </td>
                    <td>{l.by ?? '–'}</td>
                    <td>{t(looks[l.what])}</td>
                    <td>{l.reader ?? '–'}</td>
                    <td>{l.note}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )
      }
    </Show>
  );
}

const doors: Record<Api<'SignInEvent'>, string> = {
  SignedIn: 'signed in',
  SignedOut: 'signed out',
  Failed: 'wrong password or secret',
  Locked: 'has to wait after too many tries',
  Guessing: 'someone is guessing secrets of this class',
};

function Doors() {
  const rows = useQuery({ queryKey: keys.school.signIns, queryFn: () => ok(api.GET('/school/sign-ins')) });
  return (
    <Show query={rows}>
      {(all) =>
        all.length === 0 ? (
          <Empty title={t('No sign-ins yet')}>
            <p />
          </Empty>
        ) : (
          <div className="scroll" tabIndex={0} role="region" aria-label={t('Sign-ins')}>
            <table>
              <thead>
                <tr>
                  <th>{t('When')}</th>
                  <th>{t('Who')}</th>
                  <th>{t('Action')}</th>
                  <th>{t('Device')}</th>
                </tr>
              </thead>
              <tbody>
                {all.map((e, i) => (
                  <tr key={i}>
                    <td>
                      {dayOf(e.at)} {timeOf(e.at)}
                    </td>
                    <td>{e.who || '–'}</td>
                    <td>{t(doors[e.kind])}</td>
                    <td>{e.device}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )
      }
    </Show>
  );
}

function Mail() {
  const mail = useQuery({ queryKey: keys.school.mail, queryFn: () => ok(api.GET('/school/mail')) });
  return (
    <Show query={mail}>
      {(all) =>
        all.length === 0 ? (
          <Empty title={t('No mail has been sent')}>
            <p>
              {t(
                'Invitations, new passwords and confirmations are listed here. This installation keeps mail in this outbox instead of sending it.',
              )}
            </p>
          </Empty>
        ) : (
          <div className="scroll maillist" tabIndex={0} role="region" aria-label={t('Mail sent')}>
            {all.map((m) => (
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
