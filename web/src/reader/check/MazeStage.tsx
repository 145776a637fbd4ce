import { cx } from 'class-variance-authority';
import { Fragment } from 'react';
import { t } from '../../shared/words';
import { letters } from '../queries';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { InText, pageLook } from '../../ui/Reader';
import type { StageProps } from './stage';

/** A text with a choice of three now and then. */
export function MazeStage({ stage, work }: StageProps) {
  const pieces = stage.pages[0] ?? [];
  const left = stage.items.filter((_, i) => work.picks[i] === undefined).length;
  return (
    <div className={pageLook({ kind: 'maze', letters: letters(stage.depth) === 'serif' ? 'serif' : 'first' })}>
      <h2>{stage.title}</h2>
      <div className="leading-[2.3]">
        {pieces.map((text, i) => (
          <Fragment key={i}>
            {text.split(/\n\n+/).map((part, k) => (
              <Fragment key={k}>
                {k > 0 && <span className="block h-[0.5em]" />}
                {part.replace(/\*/g, '')}
              </Fragment>
            ))}
            {stage.items[i] && (
              <span
                className={cx(
                  'divide-line border-ink mx-[0.25em] inline-flex divide-x overflow-clip rounded-md',
                  'border-[1.5px] align-middle text-[0.9em] leading-11',
                )}
                role="radiogroup"
                aria-label={t('Word {{n}}', { n: i + 1 })}
              >
                {sure(stage.items[i]).choices.map((c, k) => (
                  <InText
                    key={k}
                    className={cx(
                      'has-focus-visible:outline-overlay min-h-11 min-w-11 cursor-pointer px-2.5 text-center ' +
                        'has-focus-visible:outline-3 has-focus-visible:-outline-offset-3',
                      work.picks[i]?.[0] === k ? 'bg-overlay text-paper font-semibold' : 'hover:bg-depth-1',
                    )}
                    name={`m${i}`}
                    checked={work.picks[i]?.[0] === k}
                    onChange={() => work.answer(i, k)}
                  >
                    {c}
                  </InText>
                ))}
              </span>
            )}
          </Fragment>
        ))}
      </div>
      <Row end>
        <span className="text-soft">{left === 0 ? t('All chosen.') : t('{{n}} to choose', { n: left })}</span>
        <Button look="main" size="reader" disabled={work.waits} onClick={work.finish}>
          {t('Done')}
        </Button>
      </Row>
    </div>
  );
}
