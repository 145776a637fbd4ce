import { Microphone, Stop } from '@phosphor-icons/react';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, asFile, ok, sentence } from '../../shared/api';
import { clock } from '../../shared/format';
import { Heard } from '../../shared/Heard';
import { useRecorder } from '../../shared/useRecorder';
import { t } from '../../shared/words';
import type { TextData, Version } from './TextPage';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';

/** A reading of a version that readers can listen to: recorded here, or from a file. */
export function SoundWindow({ x, version, close }: { x: TextData; version: Version; close: () => void }) {
  const recorder = useRecorder();
  const made = recorder.recording?.blob;
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const path = `/texts/${x.id}/versions/${version.id}/sound`;
  const params = { path: { textId: x.id, versionId: version.id } };
  const act = (doing: Promise<unknown>, said: string) => {
    setBusy(true);
    setError(undefined);
    void doing.then(
      () => {
        toast.success(said);
        close();
      },
      (e: unknown) => {
        setError(e);
        setBusy(false);
      },
    );
  };
  const keep = (file: Blob) =>
    act(
      ok(api.POST('/texts/{textId}/versions/{versionId}/sound', { params, body: file, ...asFile })),
      t('Saved. Readers can listen now.'),
    );
  return (
    <Dialog title={t('Recording of version {{name}}', { name: version.label })} close={close}>
      <p>{t('Readers at your school can listen while they read. Each version has one recording.')}</p>
      {version.sound && !made && (
        <p>
          <audio controls src={`/api${path}`} aria-label={t('Saved recording')} />
        </p>
      )}
      {made && (
        <p>
          <Heard blob={made} label={t('New recording')} />
        </p>
      )}
      {recorder.state === 'refused' && (
        <ErrorText>{t('The browser blocks the microphone. Allow it, or choose a file.')}</ErrorText>
      )}
      {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
      <p className="flex flex-wrap items-center gap-2">
        {recorder.state === 'recording' ? (
          <Button look="main" onClick={recorder.stop}>
            <Stop size={20} aria-hidden />
            {t('Stop, {{time}}', { time: clock(recorder.seconds) })}
          </Button>
        ) : (
          recorder.can && (
            <Button disabled={busy || recorder.state === 'asking'} onClick={() => void recorder.start()}>
              <Microphone size={20} aria-hidden />
              {made ? t('Record again') : t('Record')}
            </Button>
          )
        )}
        {recorder.state !== 'recording' && (
          <FileButton label={t('Choose file')} accept="audio/*" disabled={busy} take={keep} />
        )}
      </p>
      <DialogFoot>
        {version.sound && (
          <Button
            disabled={busy}
            onClick={() =>
              act(ok(api.DELETE('/texts/{textId}/versions/{versionId}/sound', { params })), t('Deleted recording'))
            }
          >
            {t('Delete recording')}
          </Button>
        )}
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button
          look="main"
          disabled={busy || !recorder.recording}
          onClick={() => recorder.recording && keep(recorder.recording.blob)}
        >
          {t('Save recording')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
