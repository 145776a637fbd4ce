import { Pause, Timer } from '@phosphor-icons/react';
import { clock, percent } from '../../shared/format';
import { t } from '../../shared/words';
import type { Counted } from './marks';
import type { Api } from '../../shared/api';
import { seasonWords } from '../checks/checkQueries';
import type { RecordData } from './useSheet';

export const zoneNames: Record<Api<'AccuracyZone'>, string> = {
  Independent: 'independent',
  Instructional: 'instructional',
  Frustration: 'frustration',
};
/** The zone of an accuracy as it is shown, in whole percent. */
export const zoneOf = (accuracy: number) => {
  const shown = Math.round(accuracy * 100);
  return shown >= 95 ? 'Independent' : shown >= 90 ? 'Instructional' : 'Frustration';
};

/** The figures while they come about. */
export function FiguresBox({
  c,
  seconds,
  on,
  toggle,
  setSeconds,
  record,
}: {
  c: Counted;
  seconds: number;
  on: boolean;
  toggle: () => void;
  setSeconds: (s: number) => void;
  record: RecordData;
}) {
  const rate = seconds > 0 ? Math.max(0, c.words - c.lost) / (seconds / 60) : 0;
  const f = record.figures;
  return (
    <section className="figures" aria-label={t('Figures')}>
      <div className="clockrow">
        <button className={on ? 'btn main' : 'btn'} onClick={toggle}>
          {on ? <Pause size={20} aria-hidden /> : <Timer size={20} aria-hidden />}
          {on ? t('Stop the clock') : seconds > 0 ? t('Go on') : t('Start the clock')}
        </button>
        <b className="clock" role="timer" aria-label={t('Time')}>
          {clock(seconds)}
        </b>
        {!on && seconds > 0 && (
          <label className="small">
            {t('seconds')}{' '}
            <input
              type="number"
              min={0}
              max={3600}
              value={Math.round(seconds)}
              onChange={(e) => setSeconds(Math.max(0, Math.min(3600, Number(e.target.value))))}
            />
          </label>
        )}
      </div>
      <dl>
        <div>
          <dt>{t('Accuracy')}</dt>
          <dd>
            <b>{percent(c.accuracy)}</b> {t(zoneNames[zoneOf(c.accuracy)])}
          </dd>
        </div>
        <div>
          <dt>{t('Errors')}</dt>
          <dd>
            {t('{{n}} in {{count}} words', { n: c.errors, count: c.words })}
            {c.errors > 0 && `, 1 : ${Math.round(c.words / c.errors)}`}
          </dd>
        </div>
        <div>
          <dt>{t('Self-corrections')}</dt>
          <dd>
            {c.corrections === 0
              ? t('none')
              : `${c.corrections}, 1 : ${((c.errors + c.corrections) / c.corrections).toFixed(1).replace('.0', '')}`}
          </dd>
        </div>
        <div>
          <dt>{t('Read again')}</dt>
          <dd>{c.repetitions}</dd>
        </div>
        <div>
          <dt>{t('Words correct a minute')}</dt>
          <dd>
            {rate > 0 ? (
              <>
                <b>{Math.round(rate)}</b>
                {f.percentile != null &&
                  !on &&
                  ` · ${t('{{n}} of 100 read so or slower in {{season}}', { n: f.percentile, season: t(seasonWords[f.season]) })}`}
              </>
            ) : (
              t('not timed')
            )}
          </dd>
        </div>
      </dl>
    </section>
  );
}
