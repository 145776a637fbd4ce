import { cx } from 'class-variance-authority';
import { skipToken, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useState, type FormEvent } from 'react';
import { useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, say, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { bodyOf, emptyText, type TextForm } from './textForm';
import { useKept } from '../../shared/useKept';
import { depthLine, Remarks, useMeasured, WhyLists, WhyText } from './Why';
import { WordRows } from './WordRows';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { ErrorText, FieldSet } from '../../ui/Field';
import { Notice, PageHead } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { Slider } from '../../ui/Slider';
import { TextArea, TextField } from '../../ui/TextField';

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
      toast.success(t('Saved “{{title}}”', { title: form.title }), {
        description: done.warnings.map(say).join(' ') || undefined,
      });
      void go(`/class/${data.id}/texts/${done.id}`);
    } catch (problem) {
      setError(problem);
    }
  };
  const label = (
    name: 'title' | 'kind' | 'topic' | 'blurb' | 'season' | 'note',
    words: string,
    long = false,
    list?: string,
  ) =>
    long ? (
      <TextArea
        label={words}
        error={fieldOf(error, name)}
        rows={2}
        value={form[name] ?? ''}
        set={(value) => set({ [name]: value })}
      />
    ) : (
      <TextField
        label={words}
        error={fieldOf(error, name)}
        list={list}
        value={form[name] ?? ''}
        set={(value) => set({ [name]: value })}
      />
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
    <form
      className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]"
      onSubmit={(e) => void save(e)}
      noValidate
      aria-labelledby="title"
    >
      <PageHead title={textId ? t('Edit “{{title}}”', { title: start.title }) : t('New text')}>
        {error && !fields.some((f) => fieldOf(error, f)) ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <Button onClick={() => void go(-1)}>{t('Cancel')}</Button>
        <Button look="main" type="submit">
          {textId ? t('Save changes') : t('Save text')}
        </Button>
      </PageHead>
      <div className="border-ink grid min-h-0 border-t max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_380px]">
        <div className="grid content-start gap-2 overflow-auto px-4 pt-2.5 pb-6">
          {kept.found && (
            <Notice kind="action" role="status">
              {t('Restored your unsaved text from this device.')}{' '}
              <Button size="sm" onClick={kept.again}>
                {t('Discard and start again')}
              </Button>
            </Notice>
          )}
          <div className="grid grid-cols-[repeat(auto-fit,minmax(150px,1fr))] items-start gap-3">
            {label('title', t('Title'))}
            {label('kind', t('Kind'), false, 'kinds')}
            {label('topic', t('Topic'), false, 'topics')}
          </div>
          <Known />
          {label('blurb', t('Summary in one sentence'), true)}
          {label('season', t('Season or unit (optional)'))}
          <div className="flex flex-wrap items-center gap-2">
            <Checkbox checked={form.fiction} set={(on) => set({ fiction: on })}>
              {t('Fiction')}
            </Checkbox>
            <Checkbox checked={!form.mine} set={(on) => set({ mine: !on })}>
              {t('Share with my school')}
            </Checkbox>
            <Select
              label={t('Spelling')}
              inline
              value={form.spelling}
              set={(value) => set({ spelling: value })}
              options={['British', 'American', 'Other'].map((s) => ({ value: s, label: s }))}
            />
          </div>
          <div className="flex flex-wrap items-center gap-2">
            <Segments
              label={t('Version')}
              value={String(form.versions.indexOf(version))}
              set={(i) => setAt(Number(i))}
              options={form.versions.map((v, i) => ({
                value: String(i),
                label: t('Version {{name}}', { name: v.label || i + 1 }),
              }))}
            />
            {form.versions.length < 6 && (
              <Button
                size="sm"
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
                {t('Add version')}
              </Button>
            )}
            {form.versions.length > 1 && (
              <Button
                size="sm"
                onClick={() => {
                  set({ versions: form.versions.filter((v) => v !== version) });
                  setAt(0);
                }}
              >
                {t('Remove version {{name}}', { name: version.label })}
              </Button>
            )}
            <TextField label={t('Name')} inline value={version.label} set={(value) => write({ label: value })} />
          </div>
          <TextArea
            label={t('The text')}
            hint={t(
              phrase(
                'Type or paste. An empty line starts a paragraph, # a heading, --- a new page. Without ---, ' +
                  'pages are set for you.',
              ),
            )}
            error={
              form.versions.map((_, i) => fieldOf(error, `versions[${i}].body`)).find(Boolean) ??
              fieldOf(error, 'versions')
            }
            rows={16}
            spellCheck
            value={version.body}
            set={(value) => write({ body: value })}
          />
          <WordRows words={form.words} set={(words) => set({ words })} error={fieldOf(error, 'words')} />
          {textId && label('note', t('What changed (for the history)'))}
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
      <aside
        className={cx(
          'border-line bg-sand [&_h3]:font-ui overflow-auto px-4 pt-3 pb-6 lg:border-l [&_details]:mt-2',
          '[&_h3]:mt-2.5 [&_summary]:min-h-6 [&_summary]:cursor-pointer',
        )}
      >
        <h2>{t('Depth')}</h2>
        <p className="text-soft">{t('Depth is calculated as you write.')}</p>
      </aside>
    );
  return (
    <aside
      className={cx(
        'border-line bg-sand [&_h3]:font-ui overflow-auto px-4 pt-3 pb-6 lg:border-l [&_details]:mt-2',
        '[&_h3]:mt-2.5 [&_summary]:min-h-6 [&_summary]:cursor-pointer',
      )}
      aria-label={t('Depth')}
    >
      {!m ? (
        <p className="text-soft">{measured.error ? sentence(measured.error) : t('Measuring…')}</p>
      ) : (
        <>
          <h2 aria-live="polite">{depthLine(m)}</h2>
          <Remarks m={m} />
          {m.measure && (
            <p className="text-sm">
              {t('{{words}} words in {{sentences}} sentences, {{each}} a sentence.', {
                words: m.measure.words,
                sentences: m.measure.sentences,
                each: (m.measure.words / m.measure.sentences).toFixed(1),
              })}
            </p>
          )}
          {m.why && (
            <>
              <FieldSet legend={t('What if…')} framed>
                <Slider
                  label={t('sentences were {{times}} times as long', { times: change.sentenceLength.toFixed(2) })}
                  from={0.5}
                  to={2}
                  step={0.05}
                  value={change.sentenceLength}
                  set={(sentenceLength) => setChange({ ...change, sentenceLength })}
                />
                <Slider
                  label={t('there were {{times}} times as many unfamiliar words', {
                    times: change.unfamiliar.toFixed(2),
                  })}
                  from={0}
                  to={2}
                  step={0.05}
                  value={change.unfamiliar}
                  set={(unfamiliar) => setChange({ ...change, unfamiliar })}
                />
                {m.ifChanged != null && (change.sentenceLength !== 1 || change.unfamiliar !== 1) && (
                  <p>
                    {t('It would be {{depth}} fm.', { depth: fm(m.ifChanged) })}{' '}
                    <Button size="sm" onClick={() => setChange({ sentenceLength: 1, unfamiliar: 1 })}>
                      {t('Reset')}
                    </Button>
                  </p>
                )}
              </FieldSet>
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
