import { cx } from 'class-variance-authority';
import { fm } from '../../shared/format';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { zoneWord, type Cuts } from '../../shared/forecast';
import { cut, seaKeys } from './pen';
import css from './sea.module.css';

type Props = {
  text: ClassData['texts'][number];
  /** The axis of the texts. */
  x: number;
  plateX: number;
  width: number;
  /** Where forecasts end. */
  end: number;
  /** The height of its depth, and where there was room for it. */
  want: number;
  at: number;
  picked: boolean;
  on: boolean;
  /** The forecast of the reader who is looked at, in percent. */
  cast: number | null;
  cuts: Cuts;
  meet: () => void;
  pick: () => void;
  open: () => void;
};

/** A text on the chart: a plate at its depth, with how many readers have it. */
export function SeaPlate({ text, x, plateX, width, end, want, at, picked, on, cast, cuts, meet, pick, open }: Props) {
  const dim = cast != null && zoneWord(cast, cuts);
  return (
    <g
      className={cx(css.thing, picked && css.picked, on && css.on, dim && css.dim)}
      role="button"
      tabIndex={0}
      aria-pressed={picked}
      aria-label={`${text.title}, ${fm(text.depth)} fm, ${t('{{count}} readers', { count: text.readers })}`}
      onPointerEnter={meet}
      onFocus={meet}
      onClick={pick}
      onKeyDown={seaKeys(pick, open)}
    >
      <title>{text.title}</title>
      <path
        className={css.lead}
        d={Math.abs(at - want) < 1.5 ? `M${x} ${want}H${plateX}` : `M${x} ${want}h6L${plateX - 4} ${at}h4`}
      />
      <path d={`M${x - 4} ${want}h8`} stroke="var(--color-ink)" strokeWidth="2.5" />
      <rect className={css.body} x={plateX} y={at - 12} width={width} height={24} />
      <path className={css.spine} d={`M${plateX + 3.5} ${at - 12}v24`} />
      <text className={css.name} x={plateX + 12} y={at + 4.5}>
        {cut(text.title, width - 46)}
      </text>
      <text x={plateX + width - 8} y={at + 4.5} textAnchor="end">
        {picked ? t('tray') : text.readers}
      </text>
      {cast != null && (
        <text className={css.cast} x={end} y={at + 4.5} textAnchor="end">
          {t('{{n}}%', { n: cast })} {t(zoneWord(cast, cuts))}
        </text>
      )}
    </g>
  );
}
