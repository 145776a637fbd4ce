import { Link, NavLink, useOutletContext } from 'react-router';
import { dayOf } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { seasonWords, useChecks, type CheckRow } from './checkQueries';
import './checks.css';

/** The two views of what readers are given. */
export function AssignmentTabs({ classId }: { classId: string }) {
  return (
    <nav className="switch tabs" aria-label={t('Views of what was given')}>
      {(
        [
          ['', 'Texts'],
          ['/checks', 'Level checks'],
        ] as const
      ).map(([path, name]) => (
        <NavLink key={path} to={`/class/${classId}/assignments${path}`} end>
          {t(name)}
        </NavLink>
      ))}
    </nav>
  );
}

const when = (k: CheckRow) =>
  k.draft
    ? t('draft')
    : k.closedAt
      ? t('ended {{day}}', { day: dayOf(k.closedAt) })
      : `${k.opensOn ? dayOf(k.opensOn) : dayOf(k.madeAt)}${k.closesOn ? ` – ${dayOf(k.closesOn)}` : ''}`;

/** Level checks of a class, the latest first. */
export default function Checks() {
  const { data } = useOutletContext<Place>();
  const all = useChecks(data.id);
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Assignments')}</h1>
        <AssignmentTabs classId={data.id} />
        <span className="grow" />
        <Link className="btn main" to="new">
          {t('New level check')}
        </Link>
      </div>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No level check yet')}>
              <p>
                {t(
                  'A level check measures many readers at once: words, meanings, a maze passage, and texts with questions that are chosen for each reader.',
                )}
              </p>
              <Link className="btn main" to="new">
                {t('New level check')}
              </Link>
            </Empty>
          ) : (
            <CheckTable rows={rows} base="" />
          )
        }
      </Show>
    </section>
  );
}

/** A list of checks. */
export function CheckTable({ rows, base }: { rows: CheckRow[]; base: string }) {
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label={t('Level checks')}>
      <table>
        <thead>
          <tr>
            <th>{t('Level check')}</th>
            <th>{t('Readers know it as')}</th>
            <th>{t('Window')}</th>
            <th>{t('When')}</th>
            <th>{t('By')}</th>
            <th className="num">{t('Readers')}</th>
            <th className="num">{t('In it')}</th>
            <th className="num">{t('Finished')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((k) => (
            <tr key={k.id}>
              <th scope="row">
                <Link to={`${base}${k.id}${k.draft ? '/change' : ''}`}>{k.staffTitle}</Link>
              </th>
              <td>{k.readerTitle}</td>
              <td>{k.season ? t(seasonWords[k.season]) : ''}</td>
              <td>{when(k)}</td>
              <td>{k.by}</td>
              <td className="num">{k.draft ? '' : k.readers}</td>
              <td className="num">{k.draft ? '' : k.open}</td>
              <td className="num">{k.draft ? '' : t('{{n}} of {{of}}', { n: k.finished, of: k.readers })}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
