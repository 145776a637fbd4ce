import { Pause, Play, SpeakerHigh } from '@phosphor-icons/react';
import type { Api } from '../../shared/api';
import { t } from '../../shared/words';
import { useSupports } from '../supports';
import { useReadAloud } from '../useReadAloud';
import type { Shown } from './draft';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';

/** Reads a question with its choices to a reader who is given that, by a voice. */
export const Hear = ({ q }: { q: Shown }) => <HearWords words={[q.stem, ...q.choices, ...q.rights].join('. ')} />;

/** Reads something to a reader who is given that. */
export function HearWords({ words, language }: { words: string; language?: Api<'Language'> }) {
  const given = useSupports().readAloud;
  const aloud = useReadAloud(words, language);
  if (!given || !aloud.can) return null;
  return (
    <p className="mb-3.5">
      <ListenButton aloud={aloud} />
    </p>
  );
}

/** A speaker beside a word or what it means; nothing where no voice speaks its language. */
export function HearThis({ text, language }: { text: string; language?: Api<'Language'> }) {
  const aloud = useReadAloud(text, language);
  if (!aloud.can) return null;
  return (
    <>
      <IconButton
        size="reader"
        look="plain"
        label={aloud.on ? t('Stop listening') : t('Say “{{text}}”', { text })}
        onClick={aloud.toggle}
      >
        <SpeakerHigh size={24} weight={aloud.on ? 'fill' : 'regular'} aria-hidden />
      </IconButton>
      {aloud.failed && <span role="status">{t('The voice cannot speak now.')}</span>}
    </>
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
