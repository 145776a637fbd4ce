import { strandName } from '../../../shared/format';
import { t } from '../../../shared/words';
import type { Question, Try } from './keys';
import { kindName, kindOf } from './kinds';

/** What a question asks for, in small words. */
export function Tags({ q }: { q: Question }) {
  return (
    <span className="border-soft font-ui inline-block rounded-sm border px-1.5 text-sm font-normal">
      {strandName(q.strand)}
      {q.kind !== 'Single' && ` · ${kindName(q.kind)}`}
      {q.evidence && ` · ${t('proof of previous')}`}
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
  const { Key } = kindOf(q);
  return (
    <>
      {Key && <Key q={q} tries={tries} reasons={reasons} />}
      {reasons &&
        q.rubric?.criteria.map((row, at) => (
          <div key={at} className="text-sm">
            {row.name && <p className="font-semibold">{row.name}</p>}
            <ol className="list-decimal pl-6" start={0}>
              {row.marks.map((m, i) => (
                <li key={i} value={i}>
                  {m}
                </li>
              ))}
            </ol>
          </div>
        ))}
      {proof && (
        <p className="pl-3.5 font-serif text-sm italic">
          {t('Proof:')} “{proof}”
        </p>
      )}
    </>
  );
}
