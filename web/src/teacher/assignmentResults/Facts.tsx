import type { ReactNode } from 'react';
import { minutes, percent } from '../../shared/format';
import { phrase, t, type Phrase } from '../../shared/words';
import type { Results } from './results';

const reliable: Record<Results['figures']['reliability'], [Phrase, Phrase]> = {
  NotClaimed: [phrase('Too few'), phrase('to say how well the quiz tells readers apart')],
  Hardly: [phrase('Hardly'), phrase('tells readers apart: look at the questions, not at the order')],
  ALittle: [phrase('A little'), phrase('tells readers apart: plan a lesson by it, rank no one')],
  Well: [phrase('Well'), phrase('tells readers apart')],
};

/** The figures of an assignment in one line. */
export function Facts({ r }: { r: Results }) {
  const f = r.figures;
  const [word, rest] = reliable[f.reliability];
  return (
    <ul aria-label={t('Figures')} className="border-ink flex flex-wrap gap-y-1 border-b px-4 pb-2 text-sm">
      <Fact value={f.given}>{t('assigned to')}</Fact>
      <Fact value={f.handedIn}>
        {t('handed in')}
        {f.counted !== f.handedIn && (
          <span className="text-soft block">{t('{{count}} count', { count: f.counted })}</span>
        )}
      </Fact>
      {f.firstTry !== null && (
        <Fact value={percent(f.firstTry)}>
          {t('right on the first try')}
          {f.forecast !== null && (
            <span className="text-soft block">{t('forecast {{share}}', { share: percent(f.forecast) })}</span>
          )}
        </Fact>
      )}
      {f.times && (
        <Fact value={minutes(f.times.middle)}>
          {t('middle time of a full reading')}
          <span className="text-soft block">
            {t('from {{low}} to {{high}}', { low: minutes(f.times.low), high: minutes(f.times.high) })}
          </span>
        </Fact>
      )}
      {r.questions.length > 1 && (
        <Fact value={t(word)}>
          <span className="block max-w-60 whitespace-normal">{t(rest)}</span>
        </Fact>
      )}
    </ul>
  );
}

const Fact = ({ value, children }: { value: ReactNode; children: ReactNode }) => (
  <li className="border-line flex items-center gap-2 pr-4.5 leading-4 not-first:border-l not-first:pl-4.5">
    <b className="text-xl leading-6 font-semibold whitespace-nowrap">{value}</b>
    <span>{children}</span>
  </li>
);
