import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { gradeName, fm, signed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { say, t } from '../../shared/words';
import { CheckTable } from '../checks/Checks';
import { seasonWords } from '../checks/checkQueries';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { SegmentLinks } from '../../ui/Segments';
import { Select } from '../../ui/Select';
import { Empty, Show } from '../../ui/Show';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

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
    <ListPage>
      <PageHead
        title={t('Benchmark windows')}
        beside={
          <>
            <WindowTabs />
            {all.data && all.data.length > 1 && (
              <Select
                label={t('Window')}
                inline
                value={at}
                set={(value) => setAt(Number(value))}
                options={all.data.map((w, i) => ({ value: i, label: `${t(seasonWords[w.season])} ${w.year}` }))}
              />
            )}
          </>
        }
      >
        <Button asChild look="main">
          <Link to="/school/windows/checks/new">{t('New level check')}</Link>
        </Button>
      </PageHead>
      <Show query={all}>
        {(windows) => {
          const w = windows[at];
          return !w ? (
            <Empty title={t('No window yet')}>
              <p>{t('Level checks given in an autumn, winter or spring window are summarised here by grade.')}</p>
            </Empty>
          ) : (
            <Grades w={w} />
          );
        }}
      </Show>
    </ListPage>
  );
}

function WindowTabs() {
  return (
    <SegmentLinks
      label={t('Views of the windows')}
      links={(
        [
          ['', 'By grade'],
          ['/checks', 'Level checks'],
        ] as const
      ).map(([path, name]) => ({ to: `/school/windows${path}`, name: t(name) }))}
    />
  );
}

/** Every level check of the school. */
export function SchoolChecks() {
  const all = useQuery({ queryKey: keys.checks('school'), queryFn: () => ok(api.GET('/school/checks')) });
  return (
    <ListPage>
      <PageHead title={t('Benchmark windows')} beside={<WindowTabs />}>
        <Button asChild look="main">
          <Link to="/school/windows/checks/new">{t('New level check')}</Link>
        </Button>
      </PageHead>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No level check yet')}>
              <p>{t('Give one to whole grades, then see progress here.')}</p>
            </Empty>
          ) : (
            <CheckTable rows={rows} base="/school/windows/checks" />
          )
        }
      </Show>
    </ListPage>
  );
}

function Grades({ w }: { w: Window }) {
  return (
    <div
      className="grid min-h-0 gap-5 overflow-auto px-4 pb-6"
      tabIndex={0}
      role="region"
      aria-label={`${t(seasonWords[w.season])} ${w.year}`}
    >
      <Table>
        <TableHead>
          <tr>
            <Th>{t('Grade')}</Th>
            <Th num>{t('Readers')}</Th>
            <Th num>{t('Assigned')}</Th>
            <Th num>{t('Finished')}</Th>
            <Th num>{t('To give again')}</Th>
            <Th num>{t('Median')}</Th>
            {w.last && <Th num>{t('Change since {{last}}', { last: say(w.last) })}</Th>}
            <Th>
              {w.last ? t('Depths (fm): now and before') : t('Depths (fm)')}
              <Axis />
            </Th>
          </tr>
        </TableHead>
        <TableBody>
          {w.grades.map((g) => (
            <tr key={g.grade}>
              <Th scope="row">{gradeName(g.grade)}</Th>
              <Td num>{g.readers}</Td>
              <Td num>{g.given}</Td>
              <Td num>{g.finished}</Td>
              <Td num>{g.again || ''}</Td>
              <Td num>{g.now.middle == null ? '–' : fm(g.now.middle)}</Td>
              {w.last && (
                <Td num>
                  {g.now.middle == null || g.before?.middle == null ? '–' : signed(g.now.middle - g.before.middle)}
                </Td>
              )}
              <Td>
                <Spreads now={g.now} before={g.before ?? null} />
              </Td>
            </tr>
          ))}
        </TableBody>
      </Table>
      <p className="text-soft text-sm">
        {t('Line: 10th–90th percentile. Box: middle half. Mark: median. Fewer than five readers are not shown.')}
      </p>
    </div>
  );
}

const stops = [0, 20, 40, 60];

/** The depth axis, once over all rows. */
const Axis = () => (
  <svg width={width} height="16" className="block" aria-hidden>
    {stops.map((d) => (
      <text key={d} x={px(d)} y="12" textAnchor="middle" fontSize="13" fill="var(--color-ink)">
        {d}
      </text>
    ))}
  </svg>
);

/** Two boxes on the depth axis: the window now, and the one before. */
function Spreads({ now, before }: { now: Spread; before: Spread | null }) {
  if (now.middle == null && before?.middle == null)
    return <span className="text-soft">{t('too few readers to show')}</span>;
  const label = [now, before]
    .map((s, i) =>
      s?.middle == null
        ? ''
        : [
            i === 0 ? t('now') : t('before'),
            t('from {{a}} to {{b}}, median {{m}}', { a: fm(sure(s.low)), b: fm(sure(s.high)), m: fm(s.middle) }),
          ].join(': '),
    )
    .filter(Boolean)
    .join('; ');
  return (
    <svg
      className="fill-soft text-sm"
      width={width}
      height="32"
      viewBox={`0 0 ${width} 32`}
      role="img"
      aria-label={label}
    >
      {stops.map((d) => (
        <path key={d} d={`M${px(d)} 0V32`} stroke="var(--color-line)" />
      ))}
      <Box s={now} y={9} fill="var(--color-depth-4)" ink="var(--color-ink)" />
      {before && <Box s={before} y={23} fill="none" ink="var(--color-soft)" />}
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
