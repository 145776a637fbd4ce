import { WifiSlash } from '@phosphor-icons/react';
import { t } from '../shared/words';
import { useOutbox } from './offline/outbox';

/** Says that answers are kept on this device while there is no network. */
export function KeptNote() {
  const { answers, away } = useOutbox();
  // What is on its way at this moment is not worth a word.
  if (!away) return <p className="hide" role="status" />;
  return (
    <p className="kept" role="status">
      <WifiSlash size={24} aria-hidden />
      <span>
        <b>{t('No network just now.')}</b>{' '}
        {answers > 0
          ? t('Your {{count}} answers are kept on this device and will be sent.', { count: answers })
          : t('What you do is kept on this device.')}
      </span>
    </p>
  );
}
