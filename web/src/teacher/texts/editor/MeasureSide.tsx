import { cx } from 'class-variance-authority';
import { useDeferredValue, useEffect, useState, type ReactNode } from 'react';
import { sentence } from '../../../shared/api';
import { fm } from '../../../shared/format';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { FieldSet } from '../../../ui/Field';
import { Slider } from '../../../ui/Slider';
import { depthLine, Remarks, useMeasured, WhyLists, WhyText, type Measured } from '../Why';

const asWritten = { sentenceLength: 1, unfamiliar: 1 };
type Change = typeof asWritten;

/** How deep the text is as it stands, why, and what if. */
export function MeasureSide({ text }: { text: string }) {
  const [change, setChange] = useState(asWritten);
  const now = useDeferredValue(text);
  const [settled, setSettled] = useState(now);
  useEffect(() => {
    const wait = setTimeout(() => setSettled(now), 200);
    return () => clearTimeout(wait);
  }, [now]);
  const measured = useMeasured(settled, change);
  const m = measured.data;
  if (!settled.trim())
    return (
      <Side>
        <h2>{t('Depth')}</h2>
        <p className="text-soft">{t('Depth is calculated as you write.')}</p>
      </Side>
    );
  if (!m)
    return (
      <Side>
        <p className="text-soft">{measured.error ? sentence(measured.error) : t('Measuring…')}</p>
      </Side>
    );
  return (
    <Side>
      <h2 aria-live="polite">{depthLine(m)}</h2>
      <Remarks m={m} />
      {m.measure && (
        <p className="text-sm">
          {t('{{words}} words in {{sentences}} sentences, {{each}} a sentence.', {
            words: m.measure.words,
            sentences: m.measure.sentences,
            each: (m.measure.words / m.measure.sentences).toFixed(1),
          })}
        </p>
      )}
      {m.why && (
        <>
          <WhatIf change={change} set={setChange} ifChanged={m.ifChanged} />
          <WhyLists m={m} />
          <details>
            <summary>{t('Marked in the text')}</summary>
            <WhyText m={m} />
          </details>
        </>
      )}
    </Side>
  );
}

const Side = ({ children }: { children: ReactNode }) => (
  <aside
    className={cx(
      'border-line bg-sand [&_h3]:font-ui overflow-auto px-4 pt-3 pb-6 lg:border-l [&_details]:mt-2',
      '[&_h3]:mt-2.5 [&_summary]:min-h-6 [&_summary]:cursor-pointer',
    )}
    aria-label={t('Depth')}
  >
    {children}
  </aside>
);

function WhatIf({
  change,
  set,
  ifChanged,
}: {
  change: Change;
  set: (to: Change) => void;
  ifChanged: Measured['ifChanged'];
}) {
  return (
    <FieldSet legend={t('What if…')} framed>
      <Slider
        label={t('sentences were {{times}} times as long', { times: change.sentenceLength.toFixed(2) })}
        from={0.5}
        to={2}
        step={0.05}
        value={change.sentenceLength}
        set={(sentenceLength) => set({ ...change, sentenceLength })}
      />
      <Slider
        label={t('there were {{times}} times as many unfamiliar words', { times: change.unfamiliar.toFixed(2) })}
        from={0}
        to={2}
        step={0.05}
        value={change.unfamiliar}
        set={(unfamiliar) => set({ ...change, unfamiliar })}
      />
      {ifChanged != null && (change.sentenceLength !== 1 || change.unfamiliar !== 1) && (
        <p>
          {t('It would be {{depth}} fm.', { depth: fm(ifChanged) })}{' '}
          <Button size="sm" onClick={() => set(asWritten)}>
            {t('Reset')}
          </Button>
        </p>
      )}
    </FieldSet>
  );
}
