import { strandName } from '../../../shared/format';
import { t } from '../../../shared/words';
import type { Api } from '../../../shared/api';
import { sure } from '../../../shared/sure';

export type Question = Api<'QuestionView'>;
export type Try = Api<'TryView'>;

export const kindName = (kind: Api<'QuestionKind'>) =>
  t(
    (
      {
        Single: 'choose one',
        Multiple: 'choose several',
        Order: 'put in order',
        Match: 'match',
        Sentence: 'pick the sentence',
        Short: 'short answer',
        Long: 'long answer',
      } satisfies Record<Api<'QuestionKind'>, string>
    )[kind],
  );

/** What a question asks for, in small words. */
export function Tags({ q }: { q: Question }) {
  return (
    <span className="strand">
      {strandName(q.strand)}
      {q.kind !== 'Single' && ` · ${kindName(q.kind)}`}
      {q.evidence && ` · ${t('proof of the one before')}`}
      {q.after && ` · ${t('on the way')}`}
    </span>
  );
}

/** A question's key, and what a reader made of it. */
export function QuestionKey({
  q,
  version,
  tries = [],
  reasons = false,
}: {
  q: Question;
  version?: string;
  tries?: Try[];
  reasons?: boolean;
}) {
  const proof = version === undefined ? undefined : (q.proofs[version] ?? q.proofs['all']);
  const triesOf = (n: number) => tries.flatMap((a, k) => (a.picks.includes(n) ? [k + 1] : []));
  return (
    <>
      {(q.kind === 'Single' || q.kind === 'Multiple') && (
        <ul>
          {q.choices.map((c, n) => {
            const chosen = triesOf(n);
            return (
              <li key={n} className={chosen.length ? 'chosen' : undefined}>
                <b aria-hidden>{c.right ? '✓' : reasons || chosen.length ? '✗' : ''}</b>
                <span className={c.right ? 'right' : undefined}>
                  {c.text}
                  <span className="hide"> {c.right ? t('(right)') : t('(wrong)')}</span>
                  {chosen.map((k) => (
                    <em key={k}> {t('try {{n}}', { n: k })}</em>
                  ))}
                  {(reasons || chosen.length > 0) && <span className="soft reason"> {c.reason}</span>}
                </span>
              </li>
            );
          })}
        </ul>
      )}
      {q.kind === 'Order' && (
        <ol className="numbered">
          {q.choices.map((c, n) => (
            <li key={n}>{c.text}</li>
          ))}
        </ol>
      )}
      {q.kind === 'Match' && (
        <ul>
          {q.choices.map((c, n) => (
            <li key={n}>
              <b aria-hidden>{c.text ? '✓' : '·'}</b>
              <span>{c.text ? `${c.text} – ${c.match}` : t('{{right}} (left over)', { right: c.match ?? '' })}</span>
            </li>
          ))}
        </ul>
      )}
      {q.kind === 'Order' &&
        tries.map((a, k) => (
          <p key={k}>
            <em>{t('try {{n}}', { n: k + 1 })}</em> {a.picks.map((p) => q.choices[p]?.text).join(' → ')}
          </p>
        ))}
      {q.kind === 'Match' &&
        tries.map((a, k) => (
          <p key={k}>
            <em>{t('try {{n}}', { n: k + 1 })}</em>{' '}
            {q.choices
              .filter((c) => c.text)
              .map((c, i) => `${c.text} – ${q.choices[sure(a.picks[i])]?.match ?? ''}`)
              .join('; ')}
          </p>
        ))}
      {q.kind === 'Sentence' &&
        tries.map((a, k) => (
          <p key={k}>
            <em>{t('try {{n}}', { n: k + 1 })}</em> {a.correct ? '✓' : '✗'} “{a.words}”
          </p>
        ))}
      {q.rubric && reasons && (
        <ol className="rubric" start={0}>
          {q.rubric.marks.map((m, i) => (
            <li key={i} value={i}>
              {m}
            </li>
          ))}
        </ol>
      )}
      {proof && (
        <p className="proof">
          {t('Proof:')} “{proof}”
        </p>
      )}
    </>
  );
}
