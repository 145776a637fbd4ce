import { Microphone, Stop } from '@phosphor-icons/react';
import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { toast } from 'sonner';
import { api, asFile, ok, sentence } from '../../shared/api';
import { clock } from '../../shared/format';
import { t } from '../../shared/words';
import { useRecorder, type Recording } from '../../shared/useRecorder';
import { Button } from '../../ui/Button';

/** What is shorter, in seconds, was stopped before anything was said: the recorder has nothing yet. */
const shortest = 1;
/** A little less than the server takes. */
const longest = 58;

/** A note that is said: what was heard comes back as words, to be looked over. What could not be sent waits here. */
export function SayNote({
  meetingId,
  name,
  heard,
}: {
  meetingId: string;
  name: string;
  heard: (words: string) => void;
}) {
  const recorder = useRecorder();
  const { recording, forget } = recorder;
  const dictate = useMutation({
    mutationFn: (made: Recording) =>
      ok(
        api.POST('/meetings/{meetingId}/dictation', {
          params: { path: { meetingId }, query: { seconds: Math.round(made.seconds * 10) / 10 } },
          body: made.blob,
          ...asFile,
        }),
      ),
    onSuccess: ({ words }) => {
      forget();
      heard(words);
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const { mutate } = dictate;
  useEffect(() => {
    if (!recording) return;
    if (recording.seconds >= shortest) return mutate(recording);
    toast.error(t('Nothing was heard. Press, speak, and press again.'));
    forget();
  }, [recording, forget, mutate]);
  const full = recorder.state === 'recording' && recorder.seconds >= longest;
  const { stop } = recorder;
  useEffect(() => {
    if (full) stop();
  }, [full, stop]);
  if (!recorder.can) return null;
  if (recording && dictate.isError)
    return (
      <>
        <Button className="h-11" onClick={() => mutate(recording)}>
          {t('Send the note again')}
        </Button>
        <Button look="plain" className="h-11" onClick={forget}>
          {t('Discard')}
        </Button>
      </>
    );
  if (recorder.state === 'recording')
    return (
      <Button look="main" className="h-11" onClick={recorder.stop}>
        <Stop size={20} aria-hidden /> {t('Stop, {{time}}', { time: clock(recorder.seconds) })}
      </Button>
    );
  return (
    <Button
      className="h-11"
      aria-label={t('Say a note on {{name}}', { name })}
      aria-busy={dictate.isPending}
      disabled={recorder.state === 'asking'}
      onClick={() => void recorder.start()}
    >
      <Microphone size={20} aria-hidden /> {recorder.state === 'refused' ? t('Microphone blocked') : t('Say a note')}
    </Button>
  );
}
