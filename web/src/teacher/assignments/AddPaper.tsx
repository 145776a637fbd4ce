import { useState } from 'react';
import { fieldOf, sentences } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { TextField } from '../../ui/TextField';

/** Under which name a file goes with something, and whether each reader writes on a copy. */
export function AddPaper({
  file,
  close,
  send,
}: {
  file: File;
  close: () => void;
  send: (paperId: string, name: string, each: boolean) => Promise<void>;
}) {
  const [name, setName] = useState(file.name.replace(/\.[^.]+$/, ''));
  const [each, setEach] = useState(false);
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const [paperId] = useState(() => crypto.randomUUID());
  const add = async () => {
    setBusy(true);
    try {
      await send(paperId, name.trim(), each);
      close();
    } catch (problem) {
      setError(problem);
      setBusy(false);
    }
  };
  return (
    <Dialog title={t('Add paper')} close={close}>
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          // It can stand over a window with a form of its own.
          e.stopPropagation();
          void add();
        }}
      >
        <TextField
          label={t('Name for readers')}
          maxLength={120}
          value={name}
          set={setName}
          error={fieldOf(error, 'name')}
        />
        <p>
          <Checkbox checked={each} set={setEach}>
            {t('Each reader writes and draws on a copy')}
          </Checkbox>
        </p>
        {error && !fieldOf(error, 'name') ? <ErrorText>{sentences(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={busy}>
            {t('Add paper')}
          </Button>
        </DialogFoot>
      </form>
    </Dialog>
  );
}
