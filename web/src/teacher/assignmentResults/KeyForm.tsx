import { useQuery } from '@tanstack/react-query';
import { ArrowDown, ArrowUp } from '@phosphor-icons/react';
import { useState } from 'react';
import { api, ok, type Api } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Checkbox } from '../../ui/Checkbox';
import { IconButton } from '../../ui/IconButton';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { ProofText } from '../texts/quiz/ProofText';
import { halvesOf, leftsOf, paired, swapped, type Key } from './corrected';

type Question = Api<'QuestionView'>;
interface Props {
  q: Question;
  value: Key;
  set: (key: Key) => void;
  textId: string | null;
}

/** What is right instead: choices, an order, pairs, or a sentence of each version. */
export function KeyForm(props: Props) {
  const { q } = props;
  if (q.kind === 'Order') return <OrderForm {...props} />;
  if (q.kind === 'Match') return <PairForm {...props} />;
  if (q.kind === 'Sentence') return <SentenceForm {...props} />;
  return <ChoiceForm {...props} />;
}

function ChoiceForm({ q, value, set }: Props) {
  const right = value.right ?? [];
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 font-semibold">{t('Right answers')}</legend>
      {q.choices.map((c, i) => (
        <Checkbox
          key={i}
          checked={right.includes(i)}
          set={(on) => set({ ...value, right: on ? [...right, i] : right.filter((x) => x !== i) })}
        >
          {c.text}
        </Checkbox>
      ))}
    </fieldset>
  );
}

function OrderForm({ q, value, set }: Props) {
  const right = value.right ?? [];
  const move = (at: number, by: number) => set({ ...value, right: swapped(right, at, at + by) });
  return (
    <div className="grid gap-1">
      <h3 className="font-ui font-semibold">{t('Right order')}</h3>
      <ol className="grid gap-1" aria-label={t('Right order')}>
        {right.map((choice, at) => (
          <li key={choice} className="border-line flex items-center gap-2 border-b py-0.5">
            <b className="w-5">{at + 1}</b>
            <span className="grow">{q.choices[choice]?.text}</span>
            <IconButton
              look="plain"
              label={t('Move {{name}} up', { name: q.choices[choice]?.text ?? '' })}
              disabled={at === 0}
              onClick={() => move(at, -1)}
            >
              <ArrowUp size={16} aria-hidden />
            </IconButton>
            <IconButton
              look="plain"
              label={t('Move {{name}} down', { name: q.choices[choice]?.text ?? '' })}
              disabled={at === right.length - 1}
              onClick={() => move(at, 1)}
            >
              <ArrowDown size={16} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ol>
    </div>
  );
}

function PairForm({ q, value, set }: Props) {
  const right = value.right ?? [];
  const options = halvesOf(q).map((i) => ({ value: String(i), label: q.choices[i]?.match ?? '' }));
  return (
    <fieldset className="grid gap-1.5">
      <legend className="mb-1 font-semibold">{t('Right pairs')}</legend>
      {leftsOf(q).map((left, at) => (
        <Select
          key={left}
          label={q.choices[left]?.text ?? ''}
          value={String(right[at])}
          set={(half) => set({ ...value, right: paired(right, at, Number(half)) })}
          options={options}
        />
      ))}
    </fieldset>
  );
}

/** The text with the sentence that is right; another is chosen by pressing it. */
function SentenceForm({ q, value, set, textId }: Props) {
  const quiz = useQuery({
    queryKey: keys.text.quiz(textId ?? ''),
    queryFn: () => ok(api.GET('/texts/{textId}/quiz', { params: { path: { textId: textId ?? '' } } })),
    enabled: textId !== null,
  });
  const [version, setVersion] = useState('');
  return (
    <Show query={quiz}>
      {(x) => {
        const label = version || (x.versions[0]?.label ?? '');
        const proofs = Object.fromEntries(
          x.versions.flatMap(({ label: of }) => {
            const proof = value.proofs?.[of] ?? value.proofs?.all;
            return proof ? [[of, proof]] : [];
          }),
        );
        return (
          <div className="border-line max-h-80 overflow-auto rounded-md border">
            <ProofText
              quiz={x}
              version={label}
              setVersion={setVersion}
              q={{ ...q, after: null, proofs: { ...proofs, [label]: proofs[label] ?? '' } }}
              change={(next) => set({ right: [], proofs: filled(next.proofs) })}
            />
          </div>
        );
      }}
    </Show>
  );
}

const filled = (proofs: Record<string, string>) => Object.fromEntries(Object.entries(proofs).filter(([, p]) => p));
