import { cx } from 'class-variance-authority';
import { Plus, X } from '@phosphor-icons/react';
import { strandName } from '../../../shared/format';
import { oneOf } from '../../../shared/kinds';
import { strands } from '../../../shared/strands';
import { t } from '../../../shared/words';
import { kindName, kindOf, kinds, type ChoicesForm } from './kinds';
import { asKind, blankRubric, type FormQuestion } from './quizForm';
import { RubricForm } from './RubricForm';
import { Button } from '../../../ui/Button';
import { Checkbox, RadioMark, RadioRows, RowTick } from '../../../ui/Checkbox';
import { Select } from '../../../ui/Select';
import { NumberField, TextArea, TextField } from '../../../ui/TextField';

type Props = { q: FormQuestion; change: (q: FormQuestion) => void };

/** One question, as its kind asks for it. */
export function QuestionForm({ q, first, change }: Props & { first: boolean }) {
  const { choices: form, hint, written } = kindOf(q);
  return (
    <>
      <TextArea
        label={t('Question')}
        inline
        rows={2}
        maxLength={400}
        value={q.stem}
        set={(value) => change({ ...q, stem: value })}
      />
      <div className="flex flex-wrap items-center gap-2">
        <Select
          label={t('Kind')}
          inline
          value={q.kind}
          set={(value) => change(asKind(q, oneOf(kinds, value)))}
          options={kinds.map((k) => ({ value: k, label: kindName(k) }))}
        />
        <Select
          label={t('Strand')}
          inline
          value={q.strand}
          set={(value) => change({ ...q, strand: oneOf(strands, value) })}
          options={strands.map((s) => ({ value: s, label: strandName(s) }))}
        />
        <Select
          label={t('Asked')}
          inline
          value={q.after ? 'way' : 'quiz'}
          set={(value) => change({ ...q, after: value === 'way' ? (q.after ?? {}) : null })}
          options={[
            { value: 'quiz', label: t('after the text') },
            { value: 'way', label: t('on the way, between paragraphs') },
          ]}
        />
        <span className="inline-flex items-center gap-1.5">
          <NumberField
            label={t('Harder by')}
            inline
            min={-20}
            max={20}
            step={0.5}
            title={t('Fathoms by which it is harder than other questions of its strand')}
            value={q.offset}
            set={(offset) => change({ ...q, offset })}
          />
          fm
        </span>
        {!first && (
          <Checkbox checked={q.evidence} set={(on) => change({ ...q, evidence: on })}>
            {t('Asks for proof of the previous question')}
          </Checkbox>
        )}
      </div>
      {form && q.choices.length > 0 && <Choices q={q} change={change} form={form} />}
      {hint && <p className="text-soft text-sm">{hint()}</p>}
      {written && <RubricForm rubric={q.rubric ?? blankRubric()} change={(rubric) => change({ ...q, rubric })} />}
    </>
  );
}

function Choices({ q, change, form }: Props & { form: ChoicesForm }) {
  const one = form.rights === 'one',
    chosen = form.rights !== undefined,
    match = form.paired;
  const set = (i: number, changes: Partial<FormQuestion['choices'][number]>) =>
    change({ ...q, choices: q.choices.map((c, k) => (k === i ? { ...c, ...changes } : c)) });
  // With one right answer, another that is right makes the first one wrong.
  const right = (i: number, on: boolean) =>
    change({
      ...q,
      choices: q.choices.map((c, k) => ({ ...c, right: k === i ? one || on : !one && c.right })),
    });
  const letter = (i: number) => (form.numbered ? String(i + 1) : String.fromCharCode(65 + i));
  const rows = (
    <>
      {q.choices.map((c, i) => (
        <div
          key={i}
          className={cx(
            'grid items-center gap-1.5',
            chosen
              ? 'grid-cols-[56px_minmax(0,1fr)_28px] [&>:nth-child(3)]:col-start-2 [&>:nth-child(3)]:row-start-2'
              : '[grid-auto-columns:minmax(0,1fr)] grid-flow-col grid-cols-[24px_minmax(0,1fr)]',
          )}
        >
          <span className="inline-flex items-center gap-1.5">
            {chosen &&
              (one ? (
                <RadioMark label={t('{{choice}} is right', { choice: letter(i) })} value={String(i)} />
              ) : (
                <RowTick
                  label={t('{{choice}} is right', { choice: letter(i) })}
                  checked={c.right}
                  set={(on) => right(i, on)}
                />
              ))}
            <b aria-hidden>{letter(i)}</b>
          </span>
          <TextField
            label={match ? t('Left {{n}}', { n: i + 1 }) : t('Choice {{name}}', { name: letter(i) })}
            bare
            value={c.text}
            set={(value) => set(i, { text: value })}
          />
          {match && (
            <TextField
              label={t('Right {{n}}', { n: i + 1 })}
              bare
              placeholder={t('what belongs to it')}
              value={c.match ?? ''}
              set={(value) => set(i, { match: value })}
            />
          )}
          {chosen && (
            <TextField
              label={t('Reason of {{name}}', { name: letter(i) })}
              bare
              placeholder={c.right ? t('why it is right') : t('what went wrong')}
              value={c.reason}
              set={(value) => set(i, { reason: value })}
            />
          )}
          <button
            type="button"
            className="hover:bg-sand inline-grid size-7 place-content-center rounded-md"
            aria-label={t('Remove {{name}}', { name: letter(i) })}
            onClick={() => change({ ...q, choices: q.choices.filter((_, k) => k !== i) })}
          >
            <X size={16} aria-hidden />
          </button>
        </div>
      ))}
      {q.choices.length < 10 && (
        <Button
          size="sm"
          onClick={() =>
            change({ ...q, choices: [...q.choices, { text: '', right: false, reason: '', match: match ? '' : null }] })
          }
        >
          <Plus size={16} aria-hidden />
          {form.another()}
        </Button>
      )}
    </>
  );
  return (
    <fieldset
      className={cx(
        'border-line grid gap-1.5 rounded-md border px-2.5 pt-1.5 pb-2.5 [&>legend]:px-1',
        '[&>legend]:text-sm [&>legend]:font-semibold',
      )}
    >
      <legend>{form.legend()}</legend>
      {one ? (
        <RadioRows
          label={form.legend()}
          value={String(q.choices.findIndex((c) => c.right))}
          set={(i) => right(Number(i), true)}
        >
          {rows}
        </RadioRows>
      ) : (
        rows
      )}
    </fieldset>
  );
}
