import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, NavLink } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { fm, signed } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { CheckTable } from '../checks/Checks';
import '../checks/checks.css';
import { seasonWords } from '../checks/checkQueries';
import { sure } from '../../shared/sure';

type Window = Api<'WindowView'>;
type Spread = Api<'DepthSpread'>;

const from = -5,
  to = 75,
  width = 380;
const px = (depth: number) => 8 + ((depth - from) / (to - from)) * (width - 16);

/** Benchmark windows of the whole school: how far each grade is, and how depths are spread beside the window before. */
export default function Windows() {
  const all = useQuery({ queryKey: keys.school.windows, queryFn: () => ok(api.GET('/school/windows')) });
  const [at, setAt] = useState(0);
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Benchmark windows')}</h1>
        <WindowTabs />
        {all.data && all.data.length > 1 && (
          <label>
            {t('Window')}{' '}
            <select value={at} onChange={(e) => setAt(Number(e.target.value))}>
              {all.data.map((w, i) => (
                <option key={i} value={i}>
                  {t(seasonWords[w.season])} {w.year}
                </option>
              ))}
            </select>
          </label>
        )}
        <span className="grow" />
        <Link className="btn main" to="/school/windows/checks/new">
          {t('New level check')}
        </Link>
      </div>
      <Show query={all}>
        {(windows) => {
          const w = windows[at];
          return !w ? (
            <Empty title={t('No window yet')}>
              <p>
                {t(
                  'A level check that is given as an autumn, winter or spring window is summed up here, grade by grade.',
                )}
              </p>
            </Empty>
          ) : (
            <Grades w={w} />
          );
        }}
      </Show>
    </section>
  );
}

function WindowTabs() {
  return (
    <nav className="switch tabs" aria-label={t('Views of the windows')}>
      {(
        [
          ['', 'By grade'],
          ['/checks', 'Level checks'],
        ] as const
      ).map(([path, name]) => (
        <NavLink key={path} to={`/school/windows${path}`} end>
          {t(name)}
        </NavLink>
      ))}
    </nav>
  );
}

/** Every level check of the school. */
export function SchoolChecks() {
  const all = useQuery({ queryKey: keys.checks('school'), queryFn: () => ok(api.GET('/school/checks')) });
  return (
    <section className="listpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Benchmark windows')}</h1>
        <WindowTabs />
        <span className="grow" />
        <Link className="btn main" to="/school/windows/checks/new">
          {t('New level check')}
        </Link>
      </div>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No level check yet')}>
              <p>{t('Give one to whole grades, and see here how far it is.')}</p>
            </Empty>
          ) : (
            <CheckTable rows={rows} base="/school/windows/checks/" />
          )
        }
      </Show>
    </section>
  );
}

function Grades({ w }: { w: Window }) {
  return (
    <div className="windowgrades" tabIndex={0} role="region" aria-label={`${t(seasonWords[w.season])} ${w.year}`}>
      <table>
        <thead>
          <tr>
            <th>{t('Grade')}</th>
            <th className="num">{t('Readers')}</th>
            <th className="num">{t('Have it')}</th>
            <th className="num">{t('Finished')}</th>
            <th className="num">{t('To give again')}</th>
            <th className="num">{t('Middle')}</th>
            {w.last && <th className="num">{t('Against {{last}}', { last: w.last })}</th>}
            <th>{w.last ? t('How depths are spread, fm: now, and before') : t('How depths are spread, fm')}</th>
          </tr>
        </thead>
        <tbody>
          {w.grades.map((g) => (
            <tr key={g.grade}>
              <th scope="row">{g.grade === 0 ? 'K' : g.grade}</th>
              <td className="num">{g.readers}</td>
              <td className="num">{g.given}</td>
              <td className="num">{g.finished}</td>
              <td className="num">{g.again || ''}</td>
              <td className="num">{g.now.middle == null ? '–' : fm(g.now.middle)}</td>
              {w.last && (
                <td className="num">
                  {g.now.middle == null || g.before?.middle == null ? '–' : signed(g.now.middle - g.before.middle)}
                </td>
              )}
              <td>
                <Spreads now={g.now} before={g.before ?? null} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft small">
        {t(
          'Lines reach from one tenth to nine tenths of the readers, boxes from a quarter to three quarters; the mark is the middle. Fewer than five readers are not shown.',
        )}
      </p>
    </div>
  );
}

/** Two boxes on the depth axis: the window now, and the one before. */
function Spreads({ now, before }: { now: Spread; before: Spread | null }) {
  if (now.middle == null && before?.middle == null) return <span className="soft">{t('too few readers to show')}</span>;
  const label = [now, before]
    .map((s, i) =>
      s?.middle == null
        ? ''
        : [
            i === 0 ? t('now') : t('before'),
            t('from {{a}} to {{b}}, middle {{m}}', { a: fm(sure(s.low)), b: fm(sure(s.high)), m: fm(s.middle) }),
          ].join(': '),
    )
    .filter(Boolean)
    .join('; ');
  return (
    <svg className="spreads" width={width} height="44" viewBox={`0 0 ${width} 44`} role="img" aria-label={label}>
      {[0, 20, 40, 60].map((d) => (
        <g key={d}>
          <path d={`M${px(d)} 2V30`} stroke="var(--line)" />
          <text x={px(d)} y="43" textAnchor="middle">
            {d}
          </text>
        </g>
      ))}
      <Box s={now} y={9} fill="var(--depth-4)" ink="var(--ink)" />
      {before && <Box s={before} y={23} fill="none" ink="var(--ink-soft)" />}
    </svg>
  );
}

function Box({ s, y, fill, ink }: { s: Spread; y: number; fill: string; ink: string }) {
  if (s.middle == null) return null;
  return (
    <g stroke={ink}>
      <path
        d={`M${px(sure(s.low))} ${y}H${px(sure(s.high))}M${px(sure(s.low))} ${y - 4}v8M${px(sure(s.high))} ${y - 4}v8`}
      />
      <rect
        x={px(sure(s.quarter))}
        y={y - 5}
        width={Math.max(1, px(sure(s.threeQuarters)) - px(sure(s.quarter)))}
        height="10"
        fill={fill}
      />
      <path d={`M${px(s.middle)} ${y - 6}v12`} strokeWidth="2.5" />
    </g>
  );
}
