import { Pause, Play } from '@phosphor-icons/react';
import { t } from '../../shared/words';
import { useSupports } from '../supports';
import { useReadAloud } from '../useReadAloud';
import type { Shown } from './draft';
import { Button } from '../../ui/Button';

/** Reads a question with its choices to a reader who is given that, by a voice. */
export const Hear = ({ q }: { q: Shown }) => <HearWords words={[q.stem, ...q.choices, ...q.rights].join('. ')} />;

/** Reads something to a reader who is given that. */
export function HearWords({ words }: { words: string }) {
  const given = useSupports().readAloud;
  const aloud = useReadAloud(words);
  if (!given || !aloud.can) return null;
  return (
    <p className="mb-3.5">
      <ListenButton aloud={aloud} />
    </p>
  );
}

/** Starts and stops the voice; where it cannot speak, that is said. */
export const ListenButton = ({ aloud }: { aloud: ReturnType<typeof useReadAloud> }) => (
  <>
    <Button size="reader" onClick={aloud.toggle}>
      {aloud.on ? <Pause size={24} aria-hidden /> : <Play size={24} aria-hidden />}
      {aloud.on ? t('Stop listening') : t('Listen')}
    </Button>
    {aloud.failed && <span role="status">{t('The voice cannot speak now.')}</span>}
  </>
);
