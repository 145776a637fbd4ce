import { fm, number, shortDay } from '../../shared/format';
import { t } from '../../shared/words';
import { at, most, text, width, type Of } from './draw';
import { inUnit } from './signals';

/** What there is and what is expected, on the way to the goal. */
export const Aim: Of = ({ s }) => {
  const [target, done, expected] = [at(s, 0), at(s, 1), at(s, 2)];
  const low = s.goal === 'Words' ? 0 : Math.min(done, expected, target) * 0.9;
  const x = (v: number) => 2 + ((v - low) / Math.max(0.1, Math.max(target, expected) - low)) * (width - 60);
  return (
    <>
      <path d={`M2 26H${width - 58}`} strokeWidth="1" />
      <rect
        x="2"
        y="20"
        width={Math.max(0, x(Math.max(done, expected)) - 2)}
        height="12"
        fill="var(--color-depth-3)"
        stroke="none"
      />
      <rect x="2" y="20" width={Math.max(0, x(done) - 2)} height="12" fill="var(--color-depth-5)" stroke="none" />
      <path d={`M${x(target)} 14V38`} strokeWidth="2.5" />
      <text x={Math.max(0, x(done) - 4)} y="12" textAnchor={x(done) > 60 ? 'end' : 'start'} {...text}>
        {inUnit(s, done)}
      </text>
      <text x={x(target) + 6} y="30" {...text}>
        {inUnit(s, target)}
      </text>
    </>
  );
};

/** Missed questions of each result. */
export const Unread: Of = ({ s }) =>
  s.points.map((p, i) => (
    <g key={`${p.day}${i}`} transform={`translate(${i * 76} 0)`}>
      <rect x="1" y="6" width="66" height="22" fill="none" />
      <text x="34" y="21" textAnchor="middle" {...text}>
        {t('{{n}} of {{of}}', { n: p.value, of: p.high ?? 0 })}
      </text>
      <text x="34" y="42" textAnchor="middle" {...text}>
        {shortDay(p.day)}
      </text>
    </g>
  ));

/** Ranges on one axis of depth, one under the other. */
export const Ranges: Of = ({ s }) => {
  const ends = s.points.flatMap((p) => [p.low ?? p.value, p.high ?? p.value]);
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const x = (v: number) => 50 + ((v - low) / Math.max(0.1, high - low)) * (width - 92);
  const names = [t('level'), t('check')];
  return s.points.map((p, i) => (
    <g key={i} transform={`translate(0 ${s.points.length === 1 ? 24 : 14 + i * 22})`}>
      <text x="0" y="4" {...text}>
        {names[i]}
      </text>
      <path d={`M${x(p.low ?? p.value)} 0H${x(p.high ?? p.value)}m0 -4v8M${x(p.low ?? p.value)} -4v8`} fill="none" />
      <circle cx={x(p.value)} cy="0" r="3.6" />
      <text x={x(p.high ?? p.value) + 6} y="4" {...text}>
        {fm(p.value)}
      </text>
    </g>
  ));
};

/** Who answered: hollow missed it. */
export const Answers: Of = ({ s }) => {
  const [missed, all] = [at(s, 0), at(s, 1)];
  return (
    <>
      {Array.from({ length: Math.min(all, most) }, (_, i) => (
        <circle
          key={i}
          cx={7 + (i % 12) * 14}
          cy={all > 12 ? 12 + Math.floor(i / 12) * 16 : 20}
          r="4.6"
          fill={i < missed ? 'var(--color-paper)' : undefined}
        />
      ))}
      <text x="0" y="44" {...text}>
        {t('{{n}} right, {{missed}} missed', { n: number(all - missed), missed: number(missed) })}
      </text>
    </>
  );
};
