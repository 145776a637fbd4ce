import { fm, percent, shortDay, strandName } from '../../shared/format';
import { t } from '../../shared/words';
import { at, height, most, text, width, type Of } from './draw';
import { Aim, Answers, Ranges, Unread } from './levels';
import type { Signal } from './signals';

/** What a signal rests on, drawn small; the sentence beside it says the same. */
export function Picture({ s }: { s: Signal }) {
  const Draw = pictures[s.kind];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      stroke="var(--color-ink)"
      fill="var(--color-ink)"
      strokeWidth="1.3"
      aria-hidden
    >
      <Draw s={s} />
    </svg>
  );
}

/** Scores, each beside what was forecast. */
const Scores: Of = ({ s }) => {
  const y = (v: number) => 42 - (v / 100) * 36;
  const step = Math.min(56, (width - 40) / Math.max(1, s.points.length));
  return s.points.map((p, i) => {
    const x = 12 + i * step;
    return (
      <g key={`${p.day}${i}`}>
        <path
          d={`M${x} ${y(p.low ?? 0)}V${y(p.high ?? 0)}m-4 0h8m-8 ${y(p.low ?? 0) - y(p.high ?? 0)}h8`}
          fill="none"
        />
        <circle cx={x} cy={y(p.value)} r="3.6" />
        <text x={x + 8} y={y(p.value) + 4} {...text}>
          {percent(p.value / 100)}
        </text>
      </g>
    );
  });
};

/** How long the text was open, beside how long it takes. */
const Open: Of = ({ s }) => {
  const seconds = at(s, 0),
    takes = at(s, 1) * 60;
  const x = (v: number) => Math.min(130, (v / Math.max(takes, 1)) * 130);
  return (
    <>
      <text x="0" y="18" {...text}>
        {t('open')}
      </text>
      <rect x="44" y="7" width={Math.max(2, x(seconds))} height="13" />
      <text x={50 + x(seconds)} y="18" {...text}>
        {t('{{n}} s', { n: seconds })}
      </text>
      <text x="0" y="40" {...text}>
        {t('takes')}
      </text>
      <rect x="44" y="29" width="130" height="13" fill="none" />
      <text x="180" y="40" {...text}>
        {t('{{n}} min', { n: Math.round(at(s, 1)) })}
      </text>
    </>
  );
};

/** So many of so many, a tick each: tall ones count. */
function Ticks({ y, of: [n, all], words }: { y: number; of: [number, number]; words: string }) {
  const shown = Math.min(all, most),
    tall = all > most ? Math.round((n / all) * most) : n;
  return (
    <>
      {Array.from({ length: shown }, (_, i) => (
        <rect key={i} x={i * 5.5} y={i < tall ? y - 13 : y - 2} width="3.5" height={i < tall ? 13 : 2} stroke="none" />
      ))}
      <text x={shown * 5.5 + 5} y={y} {...text}>
        {words}
      </text>
    </>
  );
}

const Fast: Of = ({ s }) => (
  <Ticks y={30} of={[at(s, 0), at(s, 1)]} words={t('{{n}} of {{of}} too fast', { n: at(s, 0), of: at(s, 1) })} />
);

const Strands: Of = ({ s }) => (
  <>
    <Ticks
      y={18}
      of={[at(s, 0), at(s, 1)]}
      words={t('{{what}} {{n}} of {{of}}', { what: strandName(s.strand), n: at(s, 0), of: at(s, 1) })}
    />
    <Ticks
      y={42}
      of={[at(s, 2), at(s, 3)]}
      words={t('{{what}} {{n}} of {{of}}', { what: t('others'), n: at(s, 2), of: at(s, 3) })}
    />
  </>
);

/** Depths of the texts, one after the other; hollow where one was missed. */
const Zigzag: Of = ({ s }) => {
  const values = s.points.map((p) => p.value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const x = (i: number) => 4 + (i / Math.max(1, values.length - 1)) * (width - 52);
  const y = (v: number) => 6 + ((v - low) / Math.max(0.1, high - low)) * 36;
  return (
    <>
      <path d={`M${values.map((v, i) => `${x(i)} ${y(v)}`).join('L')}`} fill="none" />
      {s.points.map(
        (p, i) => p.low !== null && <circle key={i} cx={x(i)} cy={y(p.value)} r="3.4" fill="var(--color-paper)" />,
      )}
      <text x={width - 40} y={y(low) + 5} {...text}>
        {fm(low)}
      </text>
      <text x={width - 40} y={y(high) + 3} {...text}>
        {fm(high)}
      </text>
    </>
  );
};

/** The last school days: filled where something was read. */
const Days: Of = ({ s }) => (
  <>
    {s.points.map((p, i) => (
      <rect
        key={p.day}
        x={1 + i * 15}
        y="6"
        width="11"
        height="18"
        fill={p.value > 0 ? 'var(--color-depth-5)' : 'none'}
        strokeWidth="1"
      />
    ))}
    <text x="0" y="42" {...text}>
      {s.points[0] && shortDay(s.points[0].day)}
    </text>
    <text x={s.points.length * 15} y="42" textAnchor="end" {...text}>
      {t('today')}
    </text>
  </>
);

const pictures: Record<Signal['kind'], Of> = {
  OutOfDepth: Scores,
  ReadyToMoveDeeper: Scores,
  NothingRead: Days,
  FlickedThrough: Open,
  TooFast: Fast,
  SameStrandMissed: Strands,
  BackAndForth: Zigzag,
  UnlikelyGoal: Aim,
  FeedbackUnread: Unread,
  CheckDisagrees: Ranges,
  ThinEvidence: Ranges,
  QuestionMissed: Answers,
};
