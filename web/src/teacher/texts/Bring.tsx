import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm, number } from '../../shared/format';
import { Empty } from '../../shared/Whole';
import { t } from '../../shared/words';
import { FileButton } from '../frame/FileButton';
import type { Place } from '../frame/Frame';
import { base64 } from './bring';
import './texts.css';
import { sure } from '../../shared/sure';

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
        notes: view.notes,
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
    setBusy(t('Taking in…'));
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
      className="bring"
      aria-labelledby="title"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const file = e.dataTransfer.files[0];
        if (file) void read(file);
      }}
    >
      <div className="head">
        <h1 id="title">{t('Bring texts in')}</h1>
        <span className="grow" />
        {busy && <p role="status">{busy}</p>}
        <FileButton
          label={open ? t('Another file') : t('Choose a file')}
          accept={accepts}
          main={!open}
          disabled={!!busy}
          take={(file) => void read(file)}
        />
        {open && (
          <button className="btn main" disabled={!!busy || taken === 0} onClick={() => void bring()}>
            {t('Take in {{count}} texts', { count: taken })}
          </button>
        )}
      </div>
      {error && (
        <p className="error" role="alert">
          {error}
        </p>
      )}
      {done && (
        <div className="brought" role="status">
          <h2>{t('Taken in {{count}} texts', { count: done.length })}</h2>
          <ul>
            {done.map((x) => (
              <li key={x.id}>
                <Link to={`/class/${data.id}/texts/${x.id}`}>{x.title}</Link>
                {x.warnings.map((w) => (
                  <p key={w} className="small">
                    {w}
                  </p>
                ))}
              </li>
            ))}
          </ul>
        </div>
      )}
      {open ? (
        <div className="drafts">
          <p className="soft">
            {t('{{name}} holds {{count}} texts. Nothing is kept before you take it in.', {
              name: open.name,
              count: open.texts.length,
            })}{' '}
            <label className="tickline">
              <input type="checkbox" checked={share} onChange={(e) => setShare(e.target.checked)} />
              {t('Colleagues of my school see them')}
            </label>
          </p>
          {open.notes.map((n) => (
            <p key={n} className="remarklist">
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
          <Empty title={t('A document, a book, a page or a folder')}>
            <p>
              {t(
                'Word documents (DOCX), books (EPUB), web pages (HTML), Markdown, plain text, a ZIP of content folders or a QTI package. Drop a file here or choose one; you see its texts and how deep they are before anything is kept.',
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
    <li className={x.taken ? undefined : 'gone'}>
      <div className="draftline">
        <input
          type="checkbox"
          aria-label={t('Take in {{title}}', { title: x.title })}
          checked={x.taken}
          disabled={stopped(d)}
          onChange={(e) => set({ taken: e.target.checked })}
        />
        <label>
          {t('Title')}
          <input type="text" value={x.title} onChange={(e) => set({ title: e.target.value })} />
        </label>
        <label>
          {t('Kind')}
          <input type="text" value={x.kind} onChange={(e) => set({ kind: e.target.value })} />
        </label>
        <label>
          {t('Topic')}
          <input
            type="text"
            value={x.topic}
            placeholder={t('what it is about')}
            onChange={(e) => set({ topic: e.target.value })}
          />
        </label>
        <label className="tickline">
          <input type="checkbox" checked={x.fiction} onChange={(e) => set({ fiction: e.target.checked })} />
          {t('Fiction')}
        </label>
        <p className="num">
          {d.depth == null ? (
            '–'
          ) : (
            <>
              <b>{fm(d.depth)} fm</b> ± {sure(d.depthError).toFixed(1)},{' '}
              {t('grade {{grade}}', { grade: d.gradeLabel ?? '' })}
            </>
          )}
          <br />
          <span className="soft">
            {t('{{n}} words', { n: number(d.words) })}
            {d.versions > 1 && `, ${t('{{n}} versions', { n: d.versions })}`}
            {d.questions > 0 && `, ${t('{{count}} questions', { count: d.questions })}`}
          </span>
        </p>
      </div>
      {d.remarks.map((r) => (
        <p key={r.doubt} className="remarklist">
          {r.sentence}
        </p>
      ))}
      <p className="start soft">{d.start}…</p>
      {d.suggestedWords.length > 0 && (
        <fieldset className="suggested">
          <legend>{t('Words to know, if you like')}</legend>
          {d.suggestedWords.map((w) => (
            <label key={w.word} className="tickline" title={w.example}>
              <input
                type="checkbox"
                checked={x.words.includes(w.word)}
                onChange={(e) =>
                  set({ words: e.target.checked ? [...x.words, w.word] : x.words.filter((o) => o !== w.word) })
                }
              />
              {w.word}
            </label>
          ))}
        </fieldset>
      )}
      {d.pictures.length > 0 && (
        <fieldset className="suggested pictures">
          <legend>
            {missing > 0 ? t('Say what each picture shows; one without words is left out') : t('Pictures')}
          </legend>
          {d.pictures.map((p) => (
            <label key={p.name}>
              {p.bytes && p.type ? (
                <img src={`data:${p.type};base64,${p.bytes}`} alt="" />
              ) : (
                <i>{t('cannot be shown')}</i>
              )}
              <input
                type="text"
                aria-label={t('What {{name}} shows', { name: p.name })}
                value={x.alts[p.name] ?? ''}
                disabled={!p.type}
                onChange={(e) => set({ alts: { ...x.alts, [p.name]: e.target.value } })}
              />
            </label>
          ))}
        </fieldset>
      )}
    </li>
  );
}
