import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm, number, halfRange } from '../../shared/format';
import { phrase, say, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { base64 } from './bring';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Checkbox, RowTick } from '../../ui/Checkbox';
import { ErrorText } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { PageHead } from '../../ui/Page';
import { Empty } from '../../ui/Show';
import { TextField } from '../../ui/TextField';

type Draft = Api<'DraftTextView'>;
type Taking = {
  id: string;
  title: string;
  kind: string;
  topic: string;
  fiction: boolean;
  alts: Record<string, string>;
  words: string[];
  taken: boolean;
};
type Opened = { name: string; file: string; texts: Draft[]; notes: string[]; taking: Taking[] };

const accepts = '.txt,.md,.markdown,.html,.htm,.docx,.epub,.zip';
const stopped = (d: Draft) => d.remarks.some((r) => r.stops);

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
      setOpen({
        name: file.name,
        file: bytes,
        texts: view.texts,
        notes: view.notes.map(say),
        taking: view.texts.map((d) => ({
          title: d.title,
          kind: d.kind,
          topic: d.topic,
          fiction: d.fiction,
          alts: Object.fromEntries(d.pictures.map((p) => [p.name, p.alt])),
          words: [],
          taken: !stopped(d),
          id: crypto.randomUUID(),
        })),
      });
    } catch (e) {
      setOpen(null);
      setError(sentence(e));
    } finally {
      setBusy('');
    }
  };
  const set = (i: number, changes: Partial<Taking>) =>
    setOpen((o) => o && { ...o, taking: o.taking.map((x, k) => (k === i ? { ...x, ...changes } : x)) });
  const taken = open?.taking.filter((x) => x.taken).length ?? 0;
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
            texts: open.taking.flatMap((x, i) =>
              x.taken
                ? [
                    {
                      number: i,
                      id: x.id,
                      title: x.title,
                      kind: x.kind,
                      topic: x.topic,
                      fiction: x.fiction,
                      alts: x.alts,
                      words: sure(open.texts[i])
                        .suggestedWords.filter((w) => x.words.includes(w.word))
                        .map((w) => ({
                          text: w.word,
                          part: '',
                          meaning: '',
                          example: w.example,
                        })),
                    },
                  ]
                : [],
            ),
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
          <Button look="main" disabled={!!busy || taken === 0} onClick={() => void bring()}>
            {t('Import {{count}} texts', { count: taken })}
          </Button>
        )}
      </PageHead>
      {error && <ErrorText>{error}</ErrorText>}
      {done && (
        <div className="border-ink border-t px-4 pt-2 pb-6 [&_li]:py-1" role="status">
          <h2>{t('Imported {{count}} texts', { count: done.length })}</h2>
          <ul>
            {done.map((x) => (
              <li key={x.id}>
                <Link to={`/class/${data.id}/texts/${x.id}`}>{x.title}</Link>
                {x.warnings.map((w) => (
                  <p key={say(w)} className="text-sm">
                    {say(w)}
                  </p>
                ))}
              </li>
            ))}
          </ul>
        </div>
      )}
      {open ? (
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
      ) : (
        !done &&
        !error && (
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
        )
      )}
    </section>
  );
}

function DraftRow({ d, x, set }: { d: Draft; x: Taking; set: (changes: Partial<Taking>) => void }) {
  const missing = d.pictures.filter((p) => p.type && !x.alts[p.name]?.trim()).length;
  return (
    <li className={x.taken ? undefined : 'bg-sand'}>
      <div
        className={cx(
          'grid items-end gap-2.5 max-lg:grid-cols-[28px_1fr]',
          'lg:grid-cols-[28px_minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)_auto_190px]',
        )}
      >
        <RowTick
          label={t('Import {{title}}', { title: x.title })}
          checked={x.taken}
          disabled={stopped(d)}
          set={(taken) => set({ taken })}
        />
        <TextField label={t('Title')} inline value={x.title} set={(value) => set({ title: value })} />
        <TextField label={t('Kind')} inline value={x.kind} set={(value) => set({ kind: value })} />
        <TextField
          label={t('Topic')}
          inline
          value={x.topic}
          placeholder={t('topic')}
          set={(value) => set({ topic: value })}
        />
        <Checkbox checked={x.fiction} set={(on) => set({ fiction: on })}>
          {t('Fiction')}
        </Checkbox>
        <p className="text-right">
          {d.depth == null ? (
            '–'
          ) : (
            <>
              <b>{fm(d.depth)} fm</b> ± {halfRange(sure(d.depthError)).toFixed(1)}, {say(d.levelName)}
            </>
          )}
          <br />
          <span className="text-soft">
            {t('{{n}} words', { n: number(d.words) })}
            {d.versions > 1 && `, ${t('{{count}} versions', { count: d.versions })}`}
            {d.questions > 0 && `, ${t('{{count}} questions', { count: d.questions })}`}
          </span>
        </p>
      </div>
      {d.remarks.map((r) => (
        <p key={r.doubt} className="border-buoy bg-sand font-ui my-1.5 border-l-3 px-2.5 py-1.5 text-base">
          {say(r.sentence)}
        </p>
      ))}
      <p className="text-soft max-w-[90ch] pl-9.5 font-serif text-[15px] leading-5.5">{d.start}…</p>
      {d.suggestedWords.length > 0 && (
        <fieldset
          className={cx(
            'border-line ml-9.5 flex flex-wrap gap-x-4 gap-y-1 rounded-md border px-2.5 pt-0.5 pb-1.5',
            'text-sm [&>legend]:px-1 [&>legend]:font-semibold',
          )}
        >
          <legend>{t('Words to know (optional)')}</legend>
          {d.suggestedWords.map((w) => (
            <Checkbox
              key={w.word}
              checked={x.words.includes(w.word)}
              set={(on) => set({ words: on ? [...x.words, w.word] : x.words.filter((o) => o !== w.word) })}
            >
              {w.word}
            </Checkbox>
          ))}
        </fieldset>
      )}
      {d.pictures.length > 0 && (
        <fieldset
          className={cx(
            'border-line ml-9.5 flex flex-wrap gap-x-4 gap-y-1 rounded-md border px-2.5 pt-0.5 pb-1.5',
            'text-sm [&>legend]:px-1 [&>legend]:font-semibold',
          )}
        >
          <legend>
            {missing > 0 ? t('Describe each picture. Pictures without a description are skipped.') : t('Pictures')}
          </legend>
          {d.pictures.map((p) => (
            <div key={p.name} className="flex items-center gap-2">
              {p.bytes && p.type ? (
                <img src={`data:${p.type};base64,${p.bytes}`} alt="" className="max-h-16 max-w-24" />
              ) : (
                <i>{t('cannot be shown')}</i>
              )}
              <TextField
                label={t('Description of {{name}}', { name: p.name })}
                bare
                className="grow"
                value={x.alts[p.name] ?? ''}
                disabled={!p.type}
                set={(value) => set({ alts: { ...x.alts, [p.name]: value } })}
              />
            </div>
          ))}
        </fieldset>
      )}
    </li>
  );
}
