import { ArrowCounterClockwise, Check, Microphone, Stop } from '@phosphor-icons/react';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { clock } from '../shared/format';
import { keys } from '../shared/keys';
import { Heard } from '../shared/Heard';
import { useRecorder } from '../shared/useRecorder';
import { t } from '../shared/words';
import { recordingWaits, send, useOutbox } from './offline/outbox';
import type { Work } from './queries';
import { Button } from '../ui/Button';
import { refusal } from './refusal';

/** The reader records the text, listens to it, and keeps it; kept here first, like answers. Pages can be turned meanwhile. */
export function RecordMine({ work }: { work: Work }) {
  const client = useQueryClient();
  const recorder = useRecorder();
  useOutbox();
  const mine = recorder.recording?.blob;
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const waits = recordingWaits(work.id);
  const has = work.recording != null || waits;
  // A page that is left while it records would lose it.
  useEffect(() => {
    if (recorder.state !== 'recording' && !recorder.recording) return;
    const ask = (e: BeforeUnloadEvent) => e.preventDefault();
    addEventListener('beforeunload', ask);
    return () => removeEventListener('beforeunload', ask);
  }, [recorder.state, recorder.recording]);
  const keep = async () => {
    const made = recorder.recording;
    if (!made) return;
    setBusy(true);
    try {
      const id = crypto.randomUUID();
      const recording = await send({
        id,
        kind: 'recording',
        about: work.id,
        params: {
          path: { ticketId: work.id, recordId: id },
          query: { seconds: Math.round(made.seconds * 10) / 10 },
        },
        body: made.blob,
      });
      if (recording) client.setQueryData<Work>(keys.my.ticket(work.id), (w) => w && { ...w, recording });
      setSaid(recording ? t('Your teacher can hear it now.') : t('Saved on this device. It will be sent.'));
      recorder.forget();
    } catch (e) {
      setSaid(refusal(e));
    }
    setBusy(false);
  };
  const sent = waits
    ? t('Saved on this device. It will be sent.')
    : work.recording && t('Sent, {{time}}', { time: clock(work.recording.seconds) });
  if (!recorder.can) return <p role="status">{t('This device cannot record. Read it to your teacher.')}</p>;
  if (work.recording?.marked) return <p role="status">{t('Your teacher has listened.')}</p>;
  return (
    <div
      className="flex flex-wrap items-center gap-2.5 [&_audio]:h-11 [&_audio]:w-55 [&_span:empty]:hidden"
      role="group"
      aria-label={t('My recording')}
    >
      {recorder.state === 'recording' && (
        <Button look="main" size="reader" onClick={recorder.stop}>
          <Stop size={24} aria-hidden />
          {t('Stop, {{time}}', { time: clock(recorder.seconds) })}
        </Button>
      )}
      {recorder.state !== 'recording' && mine && (
        <>
          <Heard blob={mine} label={t('My reading')} />
          <Button size="reader" disabled={busy} onClick={() => void recorder.start()}>
            <ArrowCounterClockwise size={24} aria-hidden />
            {t('Record again')}
          </Button>
          <Button look="main" size="reader" disabled={busy} onClick={() => void keep()}>
            <Check size={24} aria-hidden />
            {t('Send')}
          </Button>
        </>
      )}
      {recorder.state !== 'recording' && !mine && (
        <Button
          size="reader"
          disabled={recorder.state === 'asking'}
          onClick={() => {
            setSaid('');
            void recorder.start();
          }}
        >
          <Microphone size={24} aria-hidden />
          {has ? t('Record again') : t('Record my reading')}
        </Button>
      )}
      <span role="status">
        {recorder.state === 'refused'
          ? t('The microphone is off. Ask your teacher.')
          : said || (recorder.state === 'idle' && has && sent)}
      </span>
    </div>
  );
}
