import { useEffect, useState } from 'react';
import { t } from '../../shared/words';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { pageLook } from '../../ui/Reader';
import { Pick } from './Pick';
import type { StageProps } from './stage';

/** Words, one after the other: the first that is not answered. */
export function WordsStage({ check, stage, work }: StageProps) {
  const first = stage.items.findIndex((_, i) => work.picks[i] === undefined);
  const [at, setAt] = useState(Math.max(0, first));
  const [chosen, setChosen] = useState<number>();
  const { shown } = work;
  useEffect(shown, [at, shown]);
  const item = sure(stage.items[at]);
  const reading = check.now === 'WordReading';
  const go = () => {
    if (chosen === undefined) return;
    work.answer(at, chosen);
    if (at + 1 < stage.items.length) {
      setChosen(undefined);
      setAt(at + 1);
    } else work.finish();
  };
  return (
    <form
      className={pageLook({ kind: 'question' })}
      onSubmit={(e) => {
        e.preventDefault();
        go();
      }}
    >
      <p className="text-soft">
        {t('{{n}} of {{of}}', { n: (stage.place - 1) * stage.items.length + at + 1, of: 3 * stage.items.length })}
      </p>
      <h2 id="item">
        {reading ? t('Which one is a real word?') : t('What does “{{word}}” mean?', { word: item.stem })}
      </h2>
      <Pick
        key={at}
        name="item"
        heading="item"
        choices={item.choices}
        mine={chosen}
        oneAtATime={check.oneChoice}
        pick={setChosen}
      />
      <Row end>
        <Button look="main" size="reader" type="submit" disabled={chosen === undefined || work.waits}>
          {t('Next')}
        </Button>
      </Row>
    </form>
  );
}
