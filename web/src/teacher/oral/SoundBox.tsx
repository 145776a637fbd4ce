import { Microphone, Stop } from '@phosphor-icons/react';
import { useState } from 'react';
import { api, asFile, ok, sentence } from '../../shared/api';
import { clock } from '../../shared/format';
import { useRecorder } from '../../shared/useRecorder';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { Row } from '../../ui/Page';
import { Playback } from './Playback';
import type { RecordData } from './useSheet';

/** The recording: made here while the reader reads, or by the reader alone; played back with the word marked. */
export function SoundBox({
  record,
  done,
  saved,
  began,
  ended,
  playing,
  cursor,
}: {
  record: RecordData;
  done: boolean;
  saved: (r: RecordData) => void;
  began: () => void;
  ended: () => void;
  playing: (i: number | null) => void;
  cursor: number;
}) {
  const recorder = useRecorder();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState('');
  const path = `/readers/${record.readerId}/records/${record.id}/sound`;
  const keep = async () => {
    const made = recorder.recording;
    if (!made) return;
    setBusy(true);
    setError('');
    try {
      saved(
        await ok(
          api.PUT('/readers/{readerId}/records/{recordId}/sound', {
            params: {
              path: { readerId: record.readerId, recordId: record.id },
              query: { seconds: Math.round(made.seconds * 10) / 10 },
            },
            body: made.blob,
            ...asFile,
          }),
        ),
      );
      recorder.forget();
    } catch (e) {
      setError(sentence(e));
    }
    setBusy(false);
  };
  return (
    <section className="empty:hidden" aria-label={t('Recording')}>
      {record.soundSeconds != null && (
        <Playback
          key={record.soundSeconds}
          src={`/api${path}?${record.soundSeconds}`}
          times={record.draft?.times as (number[] | null)[] | undefined}
          word={playing}
          from={{ index: cursor }}
        />
      )}
      {recorder.state === 'refused' && (
        <ErrorText>{t('The browser blocks the microphone. Allow it, or mark without a recording.')}</ErrorText>
      )}
      {error && (
        <ErrorText>
          {error} {t('Your recording is still here.')}
        </ErrorText>
      )}
      {!done && recorder.can && (
        <Row>
          {recorder.state === 'recording' ? (
            <Button
              look="main"
              onClick={() => {
                recorder.stop();
                ended();
              }}
            >
              <Stop size={20} aria-hidden />
              {t('Stop recording, {{time}}', { time: clock(recorder.seconds) })}
            </Button>
          ) : (
            <Button
              size="sm"
              disabled={busy || recorder.state === 'asking'}
              onClick={() => void recorder.start().then(began)}
            >
              <Microphone size={16} aria-hidden />
              {record.soundSeconds != null || recorder.recording ? t('Record again') : t('Record')}
            </Button>
          )}
          {recorder.recording && (
            <Button look="main" size="sm" disabled={busy} onClick={() => void keep()}>
              {busy ? t('Sending…') : t('Save recording, {{time}}', { time: clock(recorder.recording.seconds) })}
            </Button>
          )}
        </Row>
      )}
    </section>
  );
}
