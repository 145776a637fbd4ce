import { useMemo } from 'react';
import { Link } from 'react-router';
import { number, percent, shortDay } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';
import type { ClassData } from '../classQueries';
import { logAddress } from './logOf';
import { byDays, stretchesOf, top, type Stretch } from './overTime';
import { useOverTime } from './reportQueries';
import type { Asked, Span } from './span';
import { spanWords } from './SpanPicker';

const tries = (s: Stretch) => t('{{n}} of {{of}}', { n: s.atOnce, of: s.asked });
const daysOf = (asked: Asked, s: Stretch): Asked => ({ ...asked, kind: 'Any', from: s.from, to: s.to });

const columnsFor = (classId: string, asked: Asked): Column<Stretch>[] => [
  {
    key: 'days',
    name: phrase('Days'),
    by: (s) => s.from,
    show: (s) => <Link to={logAddress(classId, daysOf(asked, s), {})}>{spanWords(s)}</Link>,
  },
  { key: 'readings', name: phrase('Readings'), num: true, by: (s) => s.readings, show: (s) => number(s.readings) },
  { key: 'words', name: phrase('Words'), num: true, by: (s) => s.words, show: (s) => number(s.words) },
  { key: 'minutes', name: phrase('Min'), num: true, by: (s) => s.seconds, show: (s) => number(s.seconds / 60) },
  {
    key: 'first',
    name: phrase('Right at once'),
    num: true,
    by: (s) => (s.asked ? s.atOnce / s.asked : -1),
    show: (s) => (s.asked === 0 ? '–' : tries(s)),
  },
];

/** A span day by day or week by week: words of full readings over first tries, the span before beside it. */
export function OverTime({ data, asked }: { data: ClassData; asked: Asked }) {
  const report = useOverTime(data.id, asked);
  const columns = useMemo(() => columnsFor(data.id, asked), [data.id, asked]);
  return (
    <Show query={report}>
      {(r) => {
        const daily = byDays(r.spans.span);
        const now = stretchesOf(r.days, r.spans.span, daily);
        const before = r.spans.before ? stretchesOf(r.before, r.spans.before, daily) : [];
        if (r.days.length === 0) return <Empty title={t('Nothing read in these days')} />;
        return (
          <div className="min-h-0 grow overflow-auto">
            <div className="grid gap-x-8 gap-y-4 px-4 pt-3 pb-4 lg:grid-cols-2">
              <Words now={now} before={before} was={r.spans.before} daily={daily} />
              <FirstTries now={now} daily={daily} />
            </div>
            <DataList
              list="report-time"
              label={t('Days')}
              columns={columns}
              rows={now}
              id={(s) => s.from}
              name={(s) => spanWords(s)}
              counted={(_, count) => (daily ? t('{{count}} days', { count }) : t('{{count}} weeks', { count }))}
            />
          </div>
        );
      }}
    </Show>
  );
}

const width = 560;
const height = 150;
const left = 58;
const foot = 20;
const place = (i: number, of: number) => left + ((i + 0.5) / of) * (width - left);

/** Lines across with their figures. */
const Scale = ({ stops, y, said }: { stops: number[]; y: (v: number) => number; said: (v: number) => string }) =>
  stops.map((v) => (
    <g key={v}>
      <path d={`M${left} ${y(v)}H${width}`} stroke="var(--color-line)" />
      <text x={left - 6} y={y(v) + 4} textAnchor="end" className="fill-soft text-sm">
        {said(v)}
      </text>
    </g>
  ));

/** The days beneath, as many as there is room for. */
const Days = ({ of }: { of: readonly Stretch[] }) => {
  const each = Math.ceil(of.length / 8);
  return of.map(
    (s, i) =>
      i % each === 0 && (
        <text
          key={s.from}
          x={place(i, of.length)}
          y={height + foot - 4}
          textAnchor="middle"
          className="fill-ink text-sm"
        >
          {shortDay(s.from)}
        </text>
      ),
  );
};

function Words({ now, before, was, daily }: { now: Stretch[]; before: Stretch[]; was: Span | null; daily: boolean }) {
  const end = top(Math.max(...[...now, ...before].map((s) => s.words)));
  const y = (words: number) => 8 + (1 - words / end) * (height - 8);
  const wide = Math.min(34, ((width - left) / now.length) * 0.62);
  const sum = (of: Stretch[]) => of.reduce((n, s) => n + s.words, 0);
  return (
    <figure>
      <figcaption>
        <h2 className="text-lg">{daily ? t('Words read, by day') : t('Words read, by week')}</h2>
        <p className="text-soft text-sm">
          {t('{{count}} words of full readings', { count: sum(now) })}
          {was && `. ${t('Outline: {{span}}, {{count}} words', { span: spanWords(was), count: sum(before) })}`}
        </p>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height + foot}`}
        className="w-full max-w-175"
        role="img"
        aria-label={now.map((s) => t('{{days}}: {{count}} words', { days: spanWords(s), count: s.words })).join(', ')}
      >
        <Scale stops={[0, end / 2, end]} y={y} said={(v) => number(v)} />
        {now.map((s, i) => {
          const then = before[i];
          return (
            <g key={s.from}>
              <rect
                x={place(i, now.length) - wide / 2}
                y={y(s.words)}
                width={wide}
                height={height - y(s.words)}
                fill="var(--color-depth-5)"
              />
              {then && then.words > 0 && (
                <rect
                  x={place(i, now.length) - wide / 2 - 3}
                  y={y(then.words)}
                  width={wide + 6}
                  height={height - y(then.words)}
                  fill="none"
                  stroke="var(--color-ink)"
                  strokeDasharray="3 3"
                />
              )}
            </g>
          );
        })}
        <Days of={now} />
      </svg>
    </figure>
  );
}

/** Fewer tries than this say little: their point is open. */
const few = 20;

function FirstTries({ now, daily }: { now: Stretch[]; daily: boolean }) {
  const y = (share: number) => 8 + (1 - share) * (height - 8);
  const asked = now.reduce((n, s) => n + s.asked, 0);
  const once = now.reduce((n, s) => n + s.atOnce, 0);
  const points = now.flatMap((s, i) => (s.asked > 0 ? [{ s, x: place(i, now.length), y: y(s.atOnce / s.asked) }] : []));
  return (
    <figure>
      <figcaption>
        <h2 className="text-lg">{daily ? t('Right at once, by day') : t('Right at once, by week')}</h2>
        <p className="text-soft text-sm">
          {t('{{n}} of {{of}} first tries', { n: number(once), of: number(asked) })}
          {asked >= few && `, ${percent(once / asked)}`}
          {`. ${t('Open points rest on fewer than {{n}} tries', { n: few })}`}
        </p>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height + foot}`}
        className="w-full max-w-175"
        role="img"
        aria-label={points.map((p) => `${spanWords(p.s)}: ${tries(p.s)}`).join(', ') || t('none')}
      >
        <Scale stops={[0, 0.5, 1]} y={y} said={percent} />
        <path
          d={points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join('')}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth="1.5"
        />
        {points.map((p) => (
          <circle
            key={p.s.from}
            cx={p.x}
            cy={p.y}
            r="4"
            fill={p.s.asked < few ? 'var(--color-paper)' : 'var(--color-ink)'}
            stroke="var(--color-ink)"
            strokeWidth="1.5"
          />
        ))}
        <Days of={now} />
      </svg>
    </figure>
  );
}
