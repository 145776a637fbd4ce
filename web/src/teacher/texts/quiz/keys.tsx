import { cx } from 'class-variance-authority';
import type { Api } from '../../../shared/api';
import { t } from '../../../shared/words';

export type Question = Api<'QuestionView'>;
export type Try = Api<'TryView'>;
export type KeyProps = { q: Question; tries: Try[]; reasons: boolean };

// Mark, choice, reason: the reason beside the choice where there is room, under it where there is not.
const row = 'grid grid-cols-[1rem_minmax(0,1fr)] gap-x-2 @md:grid-cols-[1rem_minmax(0,2fr)_minmax(0,3fr)]';

/** Choices, which of them are right, and in which try each was chosen. */
export function ChosenKey({ q, tries, reasons }: KeyProps) {
  const triesOf = (n: number) => tries.flatMap((a, k) => (a.picks.includes(n) ? [k + 1] : []));
  return (
    <ul className="@container">
      {q.choices.map((c, n) => {
        const chosen = triesOf(n);
        const told = reasons || chosen.length > 0;
        return (
          <li key={n} className={cx(row, chosen.length > 0 && 'bg-tint')}>
            <b aria-hidden>
              {c.right && '✓'}
              {!c.right && told && '✗'}
            </b>
            <span className={c.right ? 'font-semibold' : undefined}>
              {c.text}
              <span className="sr-only"> {c.right ? t('(right)') : t('(wrong)')}</span>
              {chosen.map((k) => (
                <em key={k}> {t('try {{n}}', { n: k })}</em>
              ))}
            </span>
            {told && <span className="text-soft col-start-2 @md:col-start-3">{c.reason}</span>}
          </li>
        );
      })}
    </ul>
  );
}

/** In their right order, as a correction has it where there is one. */
export function OrderedKey({ q }: KeyProps) {
  const order = q.key ?? q.choices.map((_, n) => n);
  return (
    <ol className="list-decimal pl-5.5">
      {order.map((n) => (
        <li key={n}>{q.choices[n]?.text}</li>
      ))}
    </ol>
  );
}

/** What belongs together, as a correction has it where there is one, and what is left over. */
export function PairedKey({ q }: KeyProps) {
  const lefts = q.choices.flatMap((c, n) => (c.text ? [n] : []));
  const halves = q.key ?? lefts;
  const over = q.choices.filter((c, n) => c.match && !halves.includes(n));
  return (
    <ul>
      {lefts.map((n, at) => (
        <li key={n}>
          <b aria-hidden>✓</b>
          <span>{`${q.choices[n]?.text} – ${q.choices[halves[at] ?? n]?.match}`}</span>
        </li>
      ))}
      {over.map((c) => (
        <li key={c.match}>
          <b aria-hidden>·</b>
          <span>{t('{{right}} (left over)', { right: c.match ?? '' })}</span>
        </li>
      ))}
    </ul>
  );
}

/** Each try as a sentence, where the key itself cannot show it. */
export function TriesInWords({ tries, of }: KeyProps & { of: (a: Try) => string }) {
  return tries.map((a, k) => (
    <p key={k}>
      <em>{t('try {{n}}', { n: k + 1 })}</em> {of(a)}
    </p>
  ));
}
