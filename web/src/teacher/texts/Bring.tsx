import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { phrase, say, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { base64, opened, taken, type Opened, type Taking } from './bring';
import { DraftRow } from './DraftRow';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { ErrorText } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { PageHead } from '../../ui/Page';
import { Empty } from '../../ui/Show';

const accepts = '.txt,.md,.markdown,.html,.htm,.docx,.epub,.zip';

/** Bringing texts in from a file: what it holds is shown first, then what is chosen is taken in. */
export default function Bring() {
  const { data } = useOutletContext<Place>();
  const changed = useChanged();
  const [open, setOpen] = useState<Opened | null>(null);
  const [done, setDone] = useState<Api<'BroughtText'>[] | null>(null);
  const [error, setError] = useState('');
  const [busy, setBusy] = useState('');
  const [share, setShare] = useState(false);

  const read = async (file: File) => {
    setBusy(t('Reading {{name}}…', { name: file.name }));
    setError('');
    setDone(null);
    try {
      const bytes = await base64(file);
      const view = await ok(api.POST('/texts/read', { body: { name: file.name, file: bytes } }));
      setOpen(opened(file.name, bytes, { texts: view.texts, notes: view.notes.map(say) }));
    } catch (e) {
      setOpen(null);
      setError(sentence(e));
    } finally {
      setBusy('');
    }
  };
  const set = (i: number, changes: Partial<Taking>) =>
    setOpen((o) => o && { ...o, taking: o.taking.map((x, k) => (k === i ? { ...x, ...changes } : x)) });
  const count = open?.taking.filter((x) => x.taken).length ?? 0;
  const bring = async () => {
    if (!open) return;
    setBusy(t('Importing…'));
    setError('');
    try {
      const made = await ok(
        api.POST('/texts/bring', {
          body: {
            name: open.name,
            file: open.file,
            mine: !share,
            texts: taken(open),
          },
        }),
      );
      setDone(made);
      setOpen(null);
      await changed('texts');
    } catch (e) {
      setError(sentence(e));
    } finally {
      setBusy('');
    }
  };
  return (
    <section
      className="grid min-h-0 content-start overflow-auto"
      aria-labelledby="title"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const file = e.dataTransfer.files[0];
        if (file) void read(file);
      }}
    >
      <PageHead title={t('Import texts')}>
        {busy && <p role="status">{busy}</p>}
        <FileButton
          look="main"
          label={open ? t('Choose another file') : t('Choose a file')}
          accept={accepts}
          disabled={!!busy}
          take={(file) => void read(file)}
        />
        {open && (
          <Button look="main" disabled={!!busy || count === 0} onClick={() => void bring()}>
            {t('Import {{count}} texts', { count })}
          </Button>
        )}
      </PageHead>
      {error && <ErrorText>{error}</ErrorText>}
      {done && <Done made={done} classId={data.id} />}
      {open ? <OpenFile open={open} share={share} setShare={setShare} set={set} /> : !done && !error && <NothingOpen />}
    </section>
  );
}

function Done({ made, classId }: { made: Api<'BroughtText'>[]; classId: string }) {
  return (
    <div className="border-ink border-t px-4 pt-2 pb-6 [&_li]:py-1" role="status">
      <h2>{t('Imported {{count}} texts', { count: made.length })}</h2>
      <ul>
        {made.map((x) => (
          <li key={x.id}>
            <Link to={`/class/${classId}/texts/${x.id}`}>{x.title}</Link>
            {x.warnings.map((w) => (
              <p key={say(w)} className="text-sm">
                {say(w)}
              </p>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What a file holds, each text with what is taken in of it. */
function OpenFile({
  open,
  share,
  setShare,
  set,
}: {
  open: Opened;
  share: boolean;
  setShare: (on: boolean) => void;
  set: (i: number, changes: Partial<Taking>) => void;
}) {
  return (
    <div
      className={cx(
        'border-ink [&>ol>li]:border-line border-t px-4 pt-2 pb-6 [&>ol>li]:grid [&>ol>li]:gap-1.5',
        '[&>ol>li]:border-b [&>ol>li]:pt-2.5 [&>ol>li]:pb-3',
      )}
    >
      <p className="text-soft">
        {t('{{name}} contains {{count}} texts. Nothing is saved until you import.', {
          name: open.name,
          count: open.texts.length,
        })}{' '}
        <Checkbox checked={share} set={setShare}>
          {t('Share with my school')}
        </Checkbox>
      </p>
      {open.notes.map((n) => (
        <p key={n} className="border-buoy bg-sand font-ui my-1.5 border-l-3 px-2.5 py-1.5 text-base">
          {n}
        </p>
      ))}
      <ol>
        {open.texts.map((d, i) => (
          <DraftRow key={i} d={d} x={sure(open.taking[i])} set={(c) => set(i, c)} />
        ))}
      </ol>
    </div>
  );
}

const NothingOpen = () => (
  <Empty title={t('Document, book, page or folder')}>
    <p>
      {t(
        phrase(
          'Word documents (DOCX), books (EPUB), web pages (HTML), Markdown, plain text, a ZIP of ' +
            'content folders or a QTI package. Drop a file here or choose one. You see its texts and ' +
            'their depths before anything is saved.',
        ),
      )}
    </p>
  </Empty>
);
