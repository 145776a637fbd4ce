import { cx } from 'class-variance-authority';
import { CaretLeft, CaretRight } from '@phosphor-icons/react';
import { useState } from 'react';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { BigMark, tapLook } from '../../ui/Reader';

/** One thing to choose of a few, large enough for a finger. */
export function Pick({
  name,
  heading,
  choices,
  mine,
  oneAtATime,
  pick,
}: {
  name: string;
  heading: string;
  choices: string[];
  mine: number | undefined;
  oneAtATime: boolean;
  pick: (i: number) => void;
}) {
  const [at, setAt] = useState(0);
  const shown = oneAtATime
    ? choices.map((c, i) => [c, i] as const).filter(([, i]) => i === at)
    : choices.map((c, i) => [c, i] as const);
  return (
    <div className="grid gap-2.5" role="radiogroup" aria-labelledby={heading}>
      {shown.map(([c, i]) => (
        <label
          key={i}
          className={cx(
            tapLook({ mine: mine === i }),
            'hover:bg-depth-1 has-focus-visible:outline-overlay cursor-pointer has-focus-visible:outline-3',
          )}
        >
          <BigMark name={name} checked={mine === i} onChange={() => pick(i)} />
          {c}
        </label>
      ))}
      {oneAtATime && (
        <Row>
          <Button size="reader" disabled={at === 0} onClick={() => setAt(at - 1)}>
            <CaretLeft size={24} aria-hidden />
            {t('Previous choice')}
          </Button>
          <Button size="reader" disabled={at === choices.length - 1} onClick={() => setAt(at + 1)}>
            {t('Next choice')}
            <CaretRight size={24} aria-hidden />
          </Button>
        </Row>
      )}
    </div>
  );
}
