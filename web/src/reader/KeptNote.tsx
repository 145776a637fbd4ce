import { cx } from 'class-variance-authority';
import { WifiSlash } from '@phosphor-icons/react';
import { t } from '../shared/words';
import { useOutbox } from './offline/outbox';

function wordsFor(answers: number, unkept: number) {
  if (unkept > 0) return t('This device is full. Keep this page open until there is internet.');
  if (answers > 0) return t('Your {{count}} answers are safe here and will be sent.', { count: answers });
  return t('What you do is saved on this device.');
}

/** Says that answers are kept on this device while there is no network. */
export function KeptNote() {
  const { answers, away, unkept } = useOutbox();
  // What is on its way at this moment is not worth a word.
  if (!away) return <p className="sr-only" role="status" />;
  return (
    <p
      className={cx(
        'border-ink bg-sand ml-auto flex items-center gap-2.5 rounded-md border-[1.5px] border-dashed',
        'px-3.5 py-1.5 [&_b]:font-semibold',
      )}
      role="status"
    >
      <WifiSlash size={24} aria-hidden />
      <span>
        <b>{t('No internet now.')}</b> {wordsFor(answers, unkept)}
      </span>
    </p>
  );
}
