import { skipToken, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useState, type FormEvent } from 'react';
import { useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { Field } from '../frame/Window';
import { bodyOf, emptyText, type TextForm } from './textForm';
import { useKept } from '../../shared/useKept';
import { depthLine, Remarks, useMeasured, WhyLists, WhyText } from './Why';
import { WordRows } from './WordRows';
import './texts.css';
import { sure } from '../../shared/sure';

/** Bringing a text, or changing one: what it says on the left, how deep that is on the right while it is written. */
export default function TextEditor() {
  const { textId } = useParams();
  const text = useQuery({
    queryKey: keys.text.one(textId),
    queryFn: textId ? () => ok(api.GET('/texts/{textId}', { params: { path: { textId } } })) : skipToken,
  });
  if (!textId) return <Editor start={emptyText} revision={0} />;
  return (
    <Show query={text}>
      {(x) => (
        <Editor
          key={x.revision}
          textId={x.id}
          revision={x.revision}
          start={{
            ...x,
            note: '',
            versions: x.versions.map((v) => ({ id: v.id, label: v.label, body: bodyOf(v.pages) })),
            words: x.words,
          }}
        />
      )}
    </Show>
  );
}

function Editor({ textId, start, revision }: { textId?: string; start: TextForm; revision: number }) {
  const { data } = useOutletContext<Place>();
  const go = useNavigate();
  const changed = useChanged();
  const kept = useKept(`dc-text-${textId ?? 'new'}-${revision}`, () =>
    textId ? start : { ...start, id: crypto.randomUUID() },
  );
  const { value: form, set: setForm } = kept;
  const [at, setAt] = useState(0);
  const [error, setError] = useState<unknown>();
  const version = sure(form.versions[Math.min(at, form.versions.length - 1)]);
  const set = (changes: Partial<TextForm>) => setForm({ ...form, ...changes });
  const write = (changes: Partial<typeof version>) =>
    set({ versions: form.versions.map((v) => (v === version ? { ...v, ...changes } : v)) });
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const body = { ...form, revision, note: form.note || null };
      const done = await (textId
        ? ok(api.PUT('/texts/{textId}', { params: { path: { textId } }, body }))
        : ok(api.POST('/texts', { body })));
      kept.letGo();
      await changed('texts');
      toast.success(t('Kept “{{title}}”', { title: form.title }), {
        description: done.warnings.join(' ') || undefined,
      });
      void go(`/class/${data.id}/texts/${done.id}`);
    } catch (problem) {
      setError(problem);
    }
  };
  const label = (name: keyof TextForm, words: string, long = false, list?: string) => (
    <Field id={`x-${name}`} label={words} error={fieldOf(error, name)}>
      {long ? (
        <textarea
          id={`x-${name}`}
          rows={2}
          value={String(form[name])}
          onChange={(e) => set({ [name]: e.target.value })}
        />
      ) : (
        <input
          id={`x-${name}`}
          type="text"
          list={list}
          value={String(form[name])}
          onChange={(e) => set({ [name]: e.target.value })}
        />
      )}
    </Field>
  );
  const fields = [
    'title',
    'kind',
    'topic',
    'blurb',
    'season',
    'words',
    'versions',
    ...form.versions.map((_, i) => `versions[${i}].body`),
  ];
  return (
    <form className="editor" onSubmit={(e) => void save(e)} noValidate aria-labelledby="title">
      <div className="head">
        <h1 id="title">{textId ? t('Change “{{title}}”', { title: start.title }) : t('New text')}</h1>
        <span className="grow" />
        {error && !fields.some((f) => fieldOf(error, f)) ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <button type="button" className="btn" onClick={() => void go(-1)}>
          {t('Cancel')}
        </button>
        <button className="btn main">{textId ? t('Keep the changes') : t('Keep the text')}</button>
      </div>
      <div className="editcols">
        <div className="editing">
          {kept.found && (
            <p className="note" role="status">
              {t('What you had written here was kept on this device.')}{' '}
              <button type="button" className="btn small" onClick={kept.again}>
                {t('Begin again')}
              </button>
            </p>
          )}
          <div className="fields three">
            {label('title', t('Title'))}
            {label('kind', t('Kind'), false, 'kinds')}
            {label('topic', t('Topic'), false, 'topics')}
          </div>
          <Known />
          {label('blurb', t('What it is about, in a sentence'), true)}
          {label('season', t('Season or unit, if it belongs to one'))}
          <div className="row wrap">
            <label className="tickline">
              <input type="checkbox" checked={form.fiction} onChange={(e) => set({ fiction: e.target.checked })} />
              {t('Fiction')}
            </label>
            <label className="tickline">
              <input type="checkbox" checked={!form.mine} onChange={(e) => set({ mine: !e.target.checked })} />
              {t('Colleagues of my school see it')}
            </label>
            <label className="pick">
              {t('Spelling')}{' '}
              <select value={form.spelling} onChange={(e) => set({ spelling: e.target.value })}>
                {['British', 'American', 'Other'].map((s) => (
                  <option key={s}>{s}</option>
                ))}
              </select>
            </label>
          </div>
          <div className="row wrap">
            <div className="switch" role="group" aria-label={t('Version')}>
              {form.versions.map((v, i) => (
                <button type="button" key={i} aria-pressed={v === version} onClick={() => setAt(i)}>
                  {t('Version {{name}}', { name: v.label || i + 1 })}
                </button>
              ))}
            </div>
            {form.versions.length < 6 && (
              <button
                type="button"
                className="btn small"
                onClick={() => {
                  set({
                    versions: [
                      ...form.versions,
                      { id: null, label: String.fromCharCode(97 + form.versions.length), body: version.body },
                    ],
                  });
                  setAt(form.versions.length);
                }}
              >
                {t('Add a version')}
              </button>
            )}
            {form.versions.length > 1 && (
              <button
                type="button"
                className="btn small"
                onClick={() => {
                  set({ versions: form.versions.filter((v) => v !== version) });
                  setAt(0);
                }}
              >
                {t('Take version {{name}} out', { name: version.label })}
              </button>
            )}
            <label className="numline">
              {t('Name')} <input type="text" value={version.label} onChange={(e) => write({ label: e.target.value })} />
            </label>
          </div>
          <Field
            id="x-body"
            label={t('The text')}
            hint={t(
              'Paste or write. An empty line parts paragraphs, # begins a heading, --- a new page; without it pages are made for you.',
            )}
            error={
              form.versions.map((_, i) => fieldOf(error, `versions[${i}].body`)).find(Boolean) ??
              fieldOf(error, 'versions')
            }
          >
            <textarea
              id="x-body"
              className="writing"
              rows={16}
              spellCheck
              value={version.body}
              onChange={(e) => write({ body: e.target.value })}
            />
          </Field>
          <WordRows words={form.words} set={(words) => set({ words })} error={fieldOf(error, 'words')} />
          {textId && label('note', t('What was changed, for the history'))}
        </div>
        <Measure text={version.body} />
      </div>
    </form>
  );
}

const kinds = [
  'story',
  'report',
  'explanation',
  'letter',
  'diary',
  'play',
  'poem',
  'interview',
  'argument',
  'biography',
  'how-to',
  'data',
];

/** Kinds and topics the library has. */
function Known() {
  const library = useQuery({
    queryKey: keys.library.facets,
    queryFn: () => ok(api.GET('/library')),
    staleTime: 60_000,
  });
  const values = (name: string) => library.data?.facets.find((f) => f.name === name)?.values.map((v) => v.value) ?? [];
  return (
    <>
      <datalist id="kinds">
        {[...new Set([...values('kind'), ...kinds])].map((k) => (
          <option key={k} value={k} />
        ))}
      </datalist>
      <datalist id="topics">
        {values('topic').map((k) => (
          <option key={k} value={k} />
        ))}
      </datalist>
    </>
  );
}

/** How deep the text is as it stands, why, and what if. */
function Measure({ text }: { text: string }) {
  const [change, setChange] = useState({ sentenceLength: 1, unfamiliar: 1 });
  const now = useDeferredValue(text);
  const [settled, setSettled] = useState(now);
  useEffect(() => {
    const wait = setTimeout(() => setSettled(now), 200);
    return () => clearTimeout(wait);
  }, [now]);
  const measured = useMeasured(settled, change);
  const m = measured.data;
  if (!settled.trim())
    return (
      <aside className="side measuring">
        <h2>{t('Depth')}</h2>
        <p className="soft">{t('It is measured as you write.')}</p>
      </aside>
    );
  return (
    <aside className="side measuring" aria-label={t('Depth')}>
      {!m ? (
        <p className="soft">{measured.error ? sentence(measured.error) : t('Measuring…')}</p>
      ) : (
        <>
          <h2 aria-live="polite">{depthLine(m)}</h2>
          <Remarks m={m} />
          {m.measure && (
            <p className="small">
              {t('{{words}} words in {{sentences}} sentences, {{each}} a sentence.', {
                words: m.measure.words,
                sentences: m.measure.sentences,
                each: (m.measure.words / m.measure.sentences).toFixed(1),
              })}
            </p>
          )}
          {m.why && (
            <>
              <fieldset className="whatif">
                <legend>{t('What if…')}</legend>
                <label>
                  {t('sentences were {{times}} times as long', { times: change.sentenceLength.toFixed(2) })}
                  <input
                    type="range"
                    min="0.5"
                    max="2"
                    step="0.05"
                    value={change.sentenceLength}
                    onChange={(e) => setChange({ ...change, sentenceLength: Number(e.target.value) })}
                  />
                </label>
                <label>
                  {t('there were {{times}} times the unfamiliar words', { times: change.unfamiliar.toFixed(2) })}
                  <input
                    type="range"
                    min="0"
                    max="2"
                    step="0.05"
                    value={change.unfamiliar}
                    onChange={(e) => setChange({ ...change, unfamiliar: Number(e.target.value) })}
                  />
                </label>
                {m.ifChanged != null && (change.sentenceLength !== 1 || change.unfamiliar !== 1) && (
                  <p>
                    {t('It would be {{depth}} fm.', { depth: fm(m.ifChanged) })}{' '}
                    <button
                      type="button"
                      className="btn small"
                      onClick={() => setChange({ sentenceLength: 1, unfamiliar: 1 })}
                    >
                      {t('As it is')}
                    </button>
                  </p>
                )}
              </fieldset>
              <WhyLists m={m} />
              <details>
                <summary>{t('Marked in the text')}</summary>
                <WhyText m={m} />
              </details>
            </>
          )}
        </>
      )}
    </aside>
  );
}
