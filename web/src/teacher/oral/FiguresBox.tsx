import { cx } from 'class-variance-authority';
import { Pause, Timer } from '@phosphor-icons/react';
import { clock, percent } from '../../shared/format';
import { phrase, type Phrase, t } from '../../shared/words';
import type { Counted } from './marks';
import type { Api } from '../../shared/api';
import { seasonWords } from '../checks/checkQueries';
import type { RecordData } from './useSheet';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/TextField';

export const zoneNames: Record<Api<'AccuracyZone'>, Phrase> = {
  Independent: phrase('independent'),
  Instructional: phrase('instructional'),
  Frustration: phrase('frustration'),
};
/** The zone of an accuracy as it is shown, in whole percent. */
export const zoneOf = (accuracy: number) => {
  const shown = Math.round(accuracy * 100);
  if (shown >= 95) return 'Independent';
  return shown >= 90 ? 'Instructional' : 'Frustration';
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
  const begin = seconds > 0 ? t('Continue') : t('Start the clock');
  return (
    <section
      className={cx(
        '[&_dt]:text-soft grid gap-2 [&_dl]:grid [&_dl]:gap-0.5 [&_dl>div]:grid',
        '[&_dl>div]:grid-cols-[132px_1fr] [&_dl>div]:text-sm',
      )}
      aria-label={t('Figures')}
    >
      <div className="flex flex-wrap items-center gap-2.5">
        <Button look={on ? 'main' : 'outline'} onClick={toggle}>
          {on ? <Pause size={20} aria-hidden /> : <Timer size={20} aria-hidden />}
          {on ? t('Stop the clock') : begin}
        </Button>
        <b className="text-[22px] leading-8 font-semibold" role="timer" aria-label={t('Time')}>
          {clock(seconds)}
        </b>
        {!on && seconds > 0 && (
          <NumberField
            label={t('seconds')}
            inline
            boxClass="min-w-20"
            min={0}
            max={3600}
            value={Math.round(seconds)}
            set={(value) => setSeconds(Math.max(0, Math.min(3600, value)))}
          />
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
          <dt>{t('Words correct per minute')}</dt>
          <dd>
            {rate > 0 ? (
              <>
                <b>{Math.round(rate)}</b>
                {f.percentile != null &&
                  !on &&
                  ` · ${t('percentile {{n}}, {{season}}', { n: f.percentile, season: t(seasonWords[f.season]) })}`}
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
