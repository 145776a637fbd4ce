import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { fm, number, halfRange } from '../../shared/format';
import { sure } from '../../shared/sure';
import { say, t } from '../../shared/words';
import { Checkbox, RowTick } from '../../ui/Checkbox';
import { TextField } from '../../ui/TextField';
import { stopped, type DraftText, type Taking } from './bring';

/** One text of a file: what it is, what is to be said of it, and what is taken in with it. */
export function DraftRow({ d, x, set }: Props) {
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
        <TextField
          label={d.kindGuessed && x.kind === d.kind ? t('Kind (a guess)') : t('Kind')}
          inline
          value={x.kind}
          set={(value) => set({ kind: value })}
        />
        <TextField
          label={d.topicGuessed && x.topic === d.topic ? t('Topic (a guess)') : t('Topic')}
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
      {d.suggestedWords.length > 0 && <WordsOf d={d} x={x} set={set} />}
      {d.pictures.length > 0 && <PicturesOf d={d} x={x} set={set} />}
    </li>
  );
}

const Part = ({ children }: { children: ReactNode }) => (
  <fieldset
    className={cx(
      'border-line ml-9.5 flex flex-wrap gap-x-4 gap-y-1 rounded-md border px-2.5 pt-0.5 pb-1.5',
      'text-sm [&>legend]:px-1 [&>legend]:font-semibold',
    )}
  >
    {children}
  </fieldset>
);

interface Props {
  d: DraftText;
  x: Taking;
  set: (changes: Partial<Taking>) => void;
}

const WordsOf = ({ d, x, set }: Props) => (
  <Part>
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
  </Part>
);

function PicturesOf({ d, x, set }: Props) {
  const missing = d.pictures.filter((p) => p.type && !x.alts[p.name]?.trim()).length;
  return (
    <Part>
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
    </Part>
  );
}
