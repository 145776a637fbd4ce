import { useState } from 'react';
import { fm } from '../../../shared/format';
import { Block, holds, isProse, plain } from '../../../shared/paragraphs';
import { t } from '../../../shared/words';
import { joined, withProof, type FormQuestion, type QuizData } from './quizForm';
import { sure } from '../../../shared/sure';

/** The text: pressing a sentence makes it the proof, with Shift up to there; for a question on the way, pressing a gap puts it there. */
export function ProofText({
  quiz,
  version,
  setVersion,
  q,
  change,
}: {
  quiz: QuizData;
  version: string;
  setVersion: (label: string) => void;
  q: FormQuestion | undefined;
  change: (q: FormQuestion) => void;
}) {
  const [from, setFrom] = useState<[number, number] | null>(null);
  const shown = quiz.versions.find((v) => v.label === version) ?? sure(quiz.versions[0]);
  const proof = q?.proofs[shown.label] ?? '';
  const proves = (s: string) => proof !== '' && (holds(proof, s) || holds(s, proof));
  const press = (p: number, s: number, more: boolean) => {
    if (!q) return;
    const paragraph = sure(shown.paragraphs[p]);
    if (more && from?.[0] === p) {
      change({ ...q, proofs: { ...q.proofs, [shown.label]: joined(paragraph, from[1], s) } });
      return;
    }
    setFrom([p, s]);
    change(withProof(q, quiz.versions, shown.label, sure(paragraph[s])));
  };
  return (
    <aside className="prooftext" aria-label={t('The text')}>
      <div className="row wrap">
        <h2>{t('The text')}</h2>
        {quiz.versions.length > 1 && (
          <div className="switch" role="group" aria-label={t('Version')}>
            {quiz.versions.map((v) => (
              <button
                type="button"
                key={v.label}
                aria-pressed={v.label === shown.label}
                onClick={() => setVersion(v.label)}
              >
                {fm(v.depth)} fm{q && !q.proofs[v.label] ? ' ·' : ''}
              </button>
            ))}
          </div>
        )}
      </div>
      {q && (
        <p className="small soft">
          {proof
            ? t('Marked is what proves the answer. Press another sentence to change it, with Shift to take in more.')
            : t('Press the sentence that proves the answer.')}
          {q.after && ` ${t('Press a line between paragraphs to ask it there.')}`}
        </p>
      )}
      {shown.paragraphs.map((paragraph, p) => (
        <div key={p}>
          {!isProse(paragraph[0] ?? '') ? (
            <Block text={paragraph[0] ?? ''} />
          ) : (
            <p>
              {paragraph.map((s, i) => (
                <span
                  key={i}
                  role="button"
                  tabIndex={0}
                  className={proves(s) ? 'chosen' : undefined}
                  aria-pressed={proves(s)}
                  onClick={(e) => press(p, i, e.shiftKey)}
                  onKeyDown={(e) => {
                    if (e.key === 'Enter' || e.key === ' ') {
                      e.preventDefault();
                      press(p, i, e.shiftKey);
                    }
                  }}
                >
                  {plain(s)}{' '}
                </span>
              ))}
            </p>
          )}
          {q?.after && (
            <button
              type="button"
              className="gap"
              aria-pressed={q.after[shown.label] === p + 1}
              aria-label={t('Ask it after paragraph {{n}}', { n: p + 1 })}
              onClick={() =>
                change({
                  ...q,
                  after: {
                    ...Object.fromEntries(
                      quiz.versions
                        .filter((v) => v.paragraphs.length > p)
                        .map((v) => [v.label, q.after?.[v.label] ?? p + 1]),
                    ),
                    [shown.label]: p + 1,
                  },
                })
              }
            >
              <span />
            </button>
          )}
        </div>
      ))}
    </aside>
  );
}
