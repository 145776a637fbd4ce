import { cx } from 'class-variance-authority';
import type { CSSProperties } from 'react';
import { fm, signed } from '../../shared/format';
import { t } from '../../shared/words';
import { depthWords } from '../readers/SetMark';
import type { ChartShows } from './Chart';
import { zoneWord, type Cuts } from '../../shared/forecast';
import type { ReaderRow } from '../classQueries';
import type { Placed } from './layout';
import { seaKeys, widthOf } from './pen';
import css from './sea.module.css';
import type { Band } from './SeaBackground';

type Props = {
  placed: Placed<ReaderRow>;
  /** Where the flag begins. */
  x: number;
  /** The group's band it lies in. */
  home: Band | undefined;
  shows: ChartShows;
  picked: boolean;
  on: boolean;
  /** Forecast on the text that is looked at, in percent. */
  cast: number | null;
  cuts: Cuts;
  meet: () => void;
  pick: () => void;
  open: () => void;
};

/** What is read out of a flag. */
function said(r: ReaderRow) {
  return [
    `${r.givenName} ${r.familyName}`,
    `${fm(r.depth)} fm`,
    r.levelSet ? t('set by a teacher') : `${t('range')} ${Math.round(r.low)}–${Math.round(r.high)}`,
    r.sixWeeks != null && `${signed(r.sixWeeks)} ${t('in six weeks')}`,
    r.group && `${t('group')} ${r.group}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** A reader on the chart: a flag on its mast, which is the range. */
export function SeaFlag({ placed: p, x, home, shows, picked, on, cast, cuts, meet, pick, open }: Props) {
  const r = p.reader,
    mast = x - 14 - p.slot * 8,
    text = p.at + 4.5;
  const away = home && r.group && home.name !== r.group ? r.group : '';
  const depth = depthWords(r, String(Math.round(r.depth)));
  const trend = shows.trend && r.sixWeeks != null ? r.sixWeeks : null;
  const depthX = x + 8 + widthOf(r.called) + 6;
  const awayX = depthX + widthOf(depth, 400) + 6;
  const trendX = awayX + (away ? widthOf(away, 400) + 6 : 0);
  const width = trendX + (trend === null ? 0 : 16) + 10 - x;
  const lead =
    Math.abs(p.at - p.want) < 1.5 ? `M${mast} ${p.want}H${x}` : `M${mast} ${p.want}H${x - 11}L${x - 4} ${p.at}H${x}`;
  return (
    <g
      className={cx(
        css.thing,
        css.flag,
        picked && css.picked,
        on && css.on,
        cast != null && zoneWord(cast, cuts) && css.dim,
      )}
      style={{ '--under': home?.tint ?? 'var(--color-paper)' } as CSSProperties}
      role="button"
      tabIndex={0}
      aria-pressed={picked}
      aria-label={said(r)}
      onPointerEnter={meet}
      onFocus={meet}
      onClick={(e) => (e.detail === 2 ? open() : pick())}
      onKeyDown={seaKeys(pick, open)}
    >
      {shows.range && !r.levelSet && (
        <path
          className={css.mast}
          d={`M${mast} ${p.top}V${p.bottom}M${mast - 2.5} ${p.top}h5M${mast - 2.5} ${p.bottom}h5`}
        />
      )}
      <path className={css.halo} d={lead} />
      <path className={css.lead} d={lead} />
      <circle className={css.mean} cx={mast} cy={p.want} r={3} />
      <path className={css.body} d={`M${x} ${p.at - 12}h${width}l-6 12l6 12h${-width}z`} />
      <text className={css.name} x={x + 8} y={text}>
        {r.called}
      </text>
      <text x={depthX} y={text}>
        {depth}
      </text>
      {away && (
        <text fill="var(--color-soft)" x={awayX} y={text}>
          {away}
        </text>
      )}
      {trend !== null && (
        <path
          className={css.arrow}
          transform={`translate(${trendX + 5} ${p.at}) rotate(${Math.max(-60, Math.min(60, trend * 24))})`}
          d="M-5 0H5M1.5 -3.5L5 0L1.5 3.5"
        />
      )}
      {cast != null && (
        <text className={css.cast} x={x + width + 6} y={text}>
          {t('{{n}}%', { n: cast })}
        </text>
      )}
    </g>
  );
}
