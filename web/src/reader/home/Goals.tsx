import { cx } from 'class-variance-authority';
import { dayOf, number, shortMonth } from '../../shared/format';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import type { Home } from '../queries';
import { OwnPart } from './Own';

type Term = NonNullable<Home['term']>;

/** Where the term stands: texts that show the level, words against the goal, answers right at once. */
export function Goals({ term }: { term: Term }) {
  const words = term.goals.find((g) => g.kind === 'Words');
  const right = term.goals.find((g) => g.kind === 'Comprehension');
  return (
    <OwnPart
      id="goals"
      title={t('My goals')}
      beside={<span className="text-soft">{t('by {{day}}', { day: dayOf(term.lastDay) })}</span>}
    >
      {term.goals.length === 0 && <p>{t('You have no goals for this term yet.')}</p>}
      {term.level && <Gauge level={term.level} />}
      {words && <Course term={term} goal={words} />}
      {right && <Tenths goal={right} />}
    </OwnPart>
  );
}

const gauge = { height: 170, left: 8, parts: 6 };

/** How deep a reader reads, in texts they know: down is deeper. */
function Gauge({ level }: { level: NonNullable<Term['level']> }) {
  const marks = [
    ...(level.then ? [{ name: t('Start of term'), ...level.then, now: false }] : []),
    { name: t('Now'), ...level.now, now: true },
  ];
  const part = gauge.height / gauge.parts;
  const y = (place: number) => place * gauge.height;
  // Labels that would meet are pushed apart, in their order.
  const labels = marks.map((m) => Math.min(gauge.height - 30, Math.max(8, y(m.place) - 12)));
  const [first, second] = labels;
  if (first !== undefined && second !== undefined && Math.abs(second - first) < 54) {
    const middle = (first + second) / 2;
    const up = (marks[0]?.place ?? 0) <= (marks[1]?.place ?? 0) ? -1 : 1;
    labels[0] = Math.max(0, middle + up * 27);
    labels[1] = Math.max(0, middle - up * 27);
  }
  return (
    <div
      role="img"
      aria-label={marks.map((m) => t('{{when}}: texts like {{title}}', { when: m.name, title: m.title })).join('. ')}
      className="relative mt-2"
      style={{ height: gauge.height + 4 }}
    >
      <svg width="60" height={gauge.height + 4} className="absolute inset-y-0 left-0" aria-hidden>
        {Array.from({ length: gauge.parts }, (_, i) => (
          <g key={i}>
            <rect
              x={gauge.left}
              y={i * part + 1}
              width="8"
              height={part}
              className={cx('stroke-ink', i % 2 === 0 ? 'fill-ink' : 'fill-paper')}
            />
            <rect
              x={gauge.left + 8}
              y={i * part + 1}
              width="13"
              height={part}
              className={cx('stroke-ink', `fill-depth-${i + 1}`)}
              style={{ fill: `var(--color-depth-${i + 1})` }}
            />
          </g>
        ))}
        {marks.map((m, i) => (
          <g key={m.name}>
            <path
              d={`M${gauge.left + 20} ${y(m.place)}H40L58 ${sure(labels[i]) + 12}`}
              className="stroke-ink fill-none"
            />
            <circle
              cx={gauge.left + 14}
              cy={y(m.place)}
              r="7"
              className={cx('stroke-ink', m.now ? 'fill-ink' : 'fill-paper')}
              strokeWidth="2"
            />
          </g>
        ))}
      </svg>
      {marks.map((m, i) => (
        <p key={m.name} className="absolute right-0 left-17 leading-6" style={{ top: sure(labels[i]) - 8 }} aria-hidden>
          <span className={m.now ? 'font-bold' : 'text-soft'}>{m.name}</span>{' '}
          <span className="text-soft">{t('like')}</span>
          <b className="block truncate font-serif font-semibold">{m.title}</b>
        </p>
      ))}
    </div>
  );
}

const chart = { width: 322, height: 66 };

/** Words of the term, week by week, and the goal at its end. */
function Course({ term, goal }: { term: Term; goal: Term['goals'][number] }) {
  const first = new Date(`${term.firstDay}T12:00:00`);
  const last = new Date(`${term.lastDay}T12:00:00`);
  const weeks = Math.max(1, Math.ceil((last.getTime() - first.getTime()) / (7 * 86_400_000)));
  const most = Math.max(goal.target, ...term.words, 1);
  const x = (week: number) => (week / weeks) * (chart.width - 8);
  const y = (words: number) => chart.height - (words / most) * (chart.height - 8);
  const points = [[0, y(0)], ...term.words.map((w, i) => [x(i + 1), y(w)])];
  const line = points.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${px} ${py}`).join('');
  const [endX = 0, endY = 0] = points[points.length - 1] ?? [];
  const months = Array.from(
    { length: 12 },
    (_, i) => new Date(first.getFullYear(), first.getMonth() + i, 1, 12),
  ).filter((m) => m < last);
  return (
    <>
      <p className="mt-3 flex justify-between gap-3">
        <b>{t('{{count}} words', { count: Math.round(goal.done) })}</b>
        <span>
          <span className="text-soft">{t('goal')}</span> <b>{number(goal.target)}</b>
        </span>
      </p>
      <svg viewBox={`0 0 ${chart.width} ${chart.height + 26}`} className="block w-full max-w-81" aria-hidden>
        <path d={`${line}L${endX} ${chart.height}L0 ${chart.height}Z`} className="fill-depth-2" />
        <path d={line} className="stroke-ink fill-none" strokeWidth="2" />
        {goal.perWeek !== null && (
          <path
            d={`M${endX} ${endY}L${chart.width - 8} ${y(goal.target)}`}
            className="stroke-ink"
            strokeDasharray="2 5"
            strokeWidth="2"
          />
        )}
        <path d={`M${chart.width - 22} ${y(goal.target)}h22`} className="stroke-ink" strokeWidth="4" />
        <circle cx={endX} cy={endY} r="5" className="fill-ink" />
        <path d={`M0 ${chart.height}H${chart.width}`} className="stroke-ink" />
        {months.map((m) => (
          <text
            key={m.getMonth()}
            x={Math.max(0, x((m.getTime() - first.getTime()) / (7 * 86_400_000)))}
            y={chart.height + 21}
            className="text-reader fill-soft"
          >
            {shortMonth(m)}
          </text>
        ))}
      </svg>
      <p>
        {goal.perWeek === null
          ? t('You have reached this goal.')
          : t('{{n}} words a week will get you there.', { n: number(Math.ceil(goal.perWeek / 10) * 10) })}
      </p>
    </>
  );
}

/** Answers right at once, of ten. */
function Tenths({ goal }: { goal: Term['goals'][number] }) {
  const [done, wanted] = [Math.round(goal.done / 10), Math.round(goal.target / 10)];
  return (
    <p className="mt-3 flex items-center gap-4">
      <span className="flex items-end gap-0.5" aria-hidden>
        {Array.from({ length: 10 }, (_, i) => (
          <i key={i} className={cx('bg-ink w-2', i < done ? 'h-6.5' : 'h-1.5')} />
        ))}
      </span>
      <span>
        <b>{t('{{n}} of 10 right at once', { n: done })}</b>
        <br />
        <span className="text-soft">{t('goal')}</span> <b>{t('{{n}} of 10', { n: wanted })}</b>
      </span>
    </p>
  );
}
