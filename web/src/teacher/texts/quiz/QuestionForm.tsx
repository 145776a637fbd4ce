import { Plus, X } from '@phosphor-icons/react';
import { strandName } from '../../../shared/format';
import { oneOf } from '../../../shared/kinds';
import { t } from '../../../shared/words';
import { kindName, kindOf, kinds, type ChoicesForm } from './kinds';
import { asKind, strands, type FormQuestion } from './quizForm';

type Props = { q: FormQuestion; change: (q: FormQuestion) => void };

/** One question, as its kind asks for it. */
export function QuestionForm({ q, first, change }: Props & { first: boolean }) {
  const { choices: form, hint, written } = kindOf(q);
  return (
    <>
      <label className="stem">
        {t('What is asked')}
        <textarea rows={2} maxLength={400} value={q.stem} onChange={(e) => change({ ...q, stem: e.target.value })} />
      </label>
      <div className="row wrap">
        <label className="pick">
          {t('Kind')}{' '}
          <select value={q.kind} onChange={(e) => change(asKind(q, oneOf(kinds, e.target.value)))}>
            {kinds.map((k) => (
              <option key={k} value={k}>
                {kindName(k)}
              </option>
            ))}
          </select>
        </label>
        <label className="pick">
          {t('Strand')}{' '}
          <select value={q.strand} onChange={(e) => change({ ...q, strand: oneOf(strands, e.target.value) })}>
            {strands.map((s) => (
              <option key={s} value={s}>
                {strandName(s)}
              </option>
            ))}
          </select>
        </label>
        <label className="pick">
          {t('Asked')}{' '}
          <select
            value={q.after ? 'way' : 'quiz'}
            onChange={(e) => change({ ...q, after: e.target.value === 'way' ? (q.after ?? {}) : null })}
          >
            <option value="quiz">{t('after the text')}</option>
            <option value="way">{t('on the way, between paragraphs')}</option>
          </select>
        </label>
        <label className="numline" title={t('Fathoms by which it is harder than other questions of its strand')}>
          {t('Harder by')}{' '}
          <input
            type="number"
            min={-20}
            max={20}
            step={0.5}
            value={q.offset}
            onChange={(e) => change({ ...q, offset: Number(e.target.value) })}
          />{' '}
          fm
        </label>
        {!first && (
          <label className="tickline">
            <input
              type="checkbox"
              checked={q.evidence}
              onChange={(e) => change({ ...q, evidence: e.target.checked })}
            />
            {t('Asks for the proof of the question before')}
          </label>
        )}
      </div>
      {form && q.choices.length > 0 && <Choices q={q} change={change} form={form} />}
      {hint && <p className="soft small">{hint()}</p>}
      {written && <RubricForm q={q} change={change} />}
    </>
  );
}

function Choices({ q, change, form }: Props & { form: ChoicesForm }) {
  const one = form.rights === 'one',
    chosen = form.rights !== undefined,
    match = form.paired;
  const set = (i: number, changes: Partial<FormQuestion['choices'][number]>) =>
    change({ ...q, choices: q.choices.map((c, k) => (k === i ? { ...c, ...changes } : c)) });
  const right = (i: number, on: boolean) =>
    change({
      ...q,
      choices: q.choices.map((c, k) => ({ ...c, right: one ? k === i : k === i ? on : c.right })),
    });
  const letter = (i: number) => (form.numbered ? String(i + 1) : String.fromCharCode(65 + i));
  return (
    <fieldset className="choicerows">
      <legend>{form.legend()}</legend>
      {q.choices.map((c, i) => (
        <div key={i} className={chosen ? 'choicerow reasoned' : 'choicerow'}>
          {chosen ? (
            <label className="rightmark">
              <input
                type={one ? 'radio' : 'checkbox'}
                name="right"
                checked={c.right}
                onChange={(e) => right(i, e.target.checked)}
                aria-label={t('{{choice}} is right', { choice: letter(i) })}
              />
              {letter(i)}
            </label>
          ) : (
            <b>{letter(i)}</b>
          )}
          <input
            type="text"
            aria-label={match ? t('Left {{n}}', { n: i + 1 }) : t('Choice {{name}}', { name: letter(i) })}
            value={c.text}
            onChange={(e) => set(i, { text: e.target.value })}
          />
          {match && (
            <input
              type="text"
              aria-label={t('Right {{n}}', { n: i + 1 })}
              placeholder={t('what belongs to it')}
              value={c.match ?? ''}
              onChange={(e) => set(i, { match: e.target.value })}
            />
          )}
          {chosen && (
            <input
              type="text"
              className="why"
              aria-label={t('Reason of {{name}}', { name: letter(i) })}
              placeholder={c.right ? t('why it is right') : t('what went wrong')}
              value={c.reason}
              onChange={(e) => set(i, { reason: e.target.value })}
            />
          )}
          <button
            type="button"
            className="icon"
            aria-label={t('Take {{name}} out', { name: letter(i) })}
            onClick={() => change({ ...q, choices: q.choices.filter((_, k) => k !== i) })}
          >
            <X size={16} aria-hidden />
          </button>
        </div>
      ))}
      {q.choices.length < 10 && (
        <button
          type="button"
          className="btn small"
          onClick={() =>
            change({ ...q, choices: [...q.choices, { text: '', right: false, reason: '', match: match ? '' : null }] })
          }
        >
          <Plus size={16} aria-hidden />
          {form.another()}
        </button>
      )}
    </fieldset>
  );
}

function RubricForm({ q, change }: Props) {
  const rubric = q.rubric ?? { marks: ['', '', '', ''], samples: ['', ''] };
  const put = (list: 'marks' | 'samples', i: number, text: string) =>
    change({ ...q, rubric: { ...rubric, [list]: rubric[list].map((m, k) => (k === i ? text : m)) } });
  return (
    <fieldset className="choicerows">
      <legend>{t('What earns how many marks; two or three count as right')}</legend>
      {rubric.marks.map((m, i) => (
        <label key={i} className="rubricrow">
          <b>{i}</b>
          <input
            type="text"
            aria-label={t('What earns {{n}}', { n: i })}
            value={m}
            onChange={(e) => put('marks', i, e.target.value)}
          />
        </label>
      ))}
      {rubric.samples.map((s, i) => (
        <label key={i} className="sample">
          {t('Sample answer {{n}}', { n: i + 1 })}
          <textarea rows={2} value={s} onChange={(e) => put('samples', i, e.target.value)} />
        </label>
      ))}
    </fieldset>
  );
}
