import { cx } from 'class-variance-authority';
import { setAsideSentences } from '../shared/setAside';
import { t } from '../shared/words';
import { answersIn, dismissRefused, useOutbox } from './offline/outbox';
import { sure } from '../shared/sure';
import { Button } from '../ui/Button';

/** Says what could not be taken, until its reader has seen it. */
export function RefusedNote() {
  const { refused } = useOutbox();
  // Time on a page that could not be counted is no work lost.
  const shown = refused.filter((k) => k.kind !== 'spell' && k.kind !== 'open');
  if (shown.length === 0) return null;
  return (
    <div
      className={cx(
        'border-ink bg-sand text-reader mb-5 grid justify-items-start gap-3 rounded-md border-[1.5px]',
        'border-dashed px-4.5 py-3.5',
      )}
      role="status"
    >
      {setAsideSentences(shown.map((k) => ({ code: sure(k.refused).code, answers: answersIn(k) }))).map((said) => (
        <p key={said}>
          {said} {t('Your teacher can see this.')}
        </p>
      ))}
      <Button size="reader" onClick={() => void dismissRefused()}>
        {t('OK')}
      </Button>
    </div>
  );
}
