import type { Api } from '../../../shared/api';
import { t } from '../../../shared/words';

export type Question = Api<'QuestionView'>;
export type Try = Api<'TryView'>;
export type KeyProps = { q: Question; tries: Try[]; reasons: boolean };

/** Choices, which of them are right, and in which try each was chosen. */
export function ChosenKey({ q, tries, reasons }: KeyProps) {
  const triesOf = (n: number) => tries.flatMap((a, k) => (a.picks.includes(n) ? [k + 1] : []));
  return (
    <ul>
      {q.choices.map((c, n) => {
        const chosen = triesOf(n);
        return (
          <li key={n} className={chosen.length ? 'bg-tint' : undefined}>
            <b aria-hidden>
              {c.right && '✓'}
              {!c.right && (reasons || chosen.length > 0) && '✗'}
            </b>
            <span className={c.right ? 'font-semibold' : undefined}>
              {c.text}
              <span className="sr-only"> {c.right ? t('(right)') : t('(wrong)')}</span>
              {chosen.map((k) => (
                <em key={k}> {t('try {{n}}', { n: k })}</em>
              ))}
              {(reasons || chosen.length > 0) && <span className="text-soft"> {c.reason}</span>}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

export function OrderedKey({ q }: KeyProps) {
  return (
    <ol className="list-decimal pl-5.5">
      {q.choices.map((c, n) => (
        <li key={n}>{c.text}</li>
      ))}
    </ol>
  );
}

export function PairedKey({ q }: KeyProps) {
  return (
    <ul>
      {q.choices.map((c, n) => (
        <li key={n}>
          <b aria-hidden>{c.text ? '✓' : '·'}</b>
          <span>{c.text ? `${c.text} – ${c.match}` : t('{{right}} (left over)', { right: c.match ?? '' })}</span>
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
