import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, asFile, fieldOf, ok, sentence, sentences } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { TextField } from '../../ui/TextField';
import type { TextData } from './TextPage';

/** The picture that stands for a text; whoever may change the text gives it one. */
export function PictureSide({ x }: { x: TextData }) {
  const client = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  // A picture that was replaced has the same address.
  const [version, setVersion] = useState(0);
  const [error, setError] = useState<unknown>();
  if (x.picture === null && !x.mayChange) return null;
  const again = async () => {
    setVersion(version + 1);
    await client.invalidateQueries({ queryKey: keys.text.one(x.id) });
  };
  const remove = async () => {
    setError(undefined);
    try {
      await ok(api.DELETE('/texts/{textId}/picture', { params: { path: { textId: x.id } } }));
      await again();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <section aria-labelledby="picture">
      <h2 id="picture">{t('Picture')}</h2>
      {x.picture !== null && (
        <figure>
          <img
            className="border-line w-full max-w-90 rounded-sm border"
            src={`/api/texts/${x.id}/picture?${version}`}
            alt={x.picture}
          />
          <figcaption className="text-soft text-sm">{x.picture}</figcaption>
        </figure>
      )}
      {x.mayChange && (
        <p className="flex gap-2">
          <FileButton
            label={x.picture === null ? t('Add picture…') : t('Replace picture…')}
            accept=".png,.jpg,.jpeg"
            take={setFile}
            size="sm"
          />
          {x.picture !== null && (
            <Button size="sm" onClick={() => void remove()}>
              {t('Remove picture')}
            </Button>
          )}
        </p>
      )}
      {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
      {file && <AddPicture textId={x.id} file={file} close={() => setFile(null)} done={again} />}
    </section>
  );
}

/** What the picture shows, for those who do not see it. */
function AddPicture({
  textId,
  file,
  close,
  done,
}: {
  textId: string;
  file: File;
  close: () => void;
  done: () => Promise<unknown>;
}) {
  const [shows, setShows] = useState('');
  const [error, setError] = useState<unknown>();
  const add = async () => {
    try {
      await ok(
        api.PUT('/texts/{textId}/picture', {
          params: { path: { textId }, query: { shows } },
          body: file,
          ...asFile,
        }),
      );
      close();
      await done();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Dialog title={t('Add picture')} close={close}>
      <form
        noValidate
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <TextField
          label={t('What it shows')}
          hint={t('Readers who do not see it hear this.')}
          error={fieldOf(error, 'shows')}
          maxLength={300}
          value={shows}
          set={setShows}
        />
        {error && !fieldOf(error, 'shows') ? <ErrorText>{sentences(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit">
            {t('Add picture')}
          </Button>
        </DialogFoot>
      </form>
    </Dialog>
  );
}
