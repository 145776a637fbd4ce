import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { fm } from '../../../shared/format';
import { Block, holds, isProse, plain } from '../../../shared/paragraphs';
import { t } from '../../../shared/words';
import { joined, withProof, type FormQuestion, type QuizData } from './quizForm';
import { sure } from '../../../shared/sure';
import { Segments } from '../../../ui/Segments';

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
    <aside
      className={cx(
        'border-line overflow-auto px-4 pt-2.5 pb-6 font-serif text-[15px] leading-6.25 lg:border-l',
        '[&_h3]:mt-1.5 [&>div>p]:mb-2',
      )}
      aria-label={t('The text')}
    >
      <div className="flex flex-wrap items-center gap-2">
        <h2>{t('The text')}</h2>
        {quiz.versions.length > 1 && (
          <Segments
            label={t('Version')}
            size="sm"
            value={shown.label}
            set={setVersion}
            options={quiz.versions.map((v) => ({
              value: v.label,
              label: `${fm(v.depth)} fm${q && !q.proofs[v.label] ? ' ·' : ''}`,
            }))}
          />
        )}
      </div>
      {q && (
        <p className="text-soft text-sm">
          {proof
            ? t('The proof is highlighted. Click another sentence to change it; Shift-click to add more.')
            : t('Click the sentence that proves the answer.')}
          {q.after && ` ${t('Click between paragraphs to ask it there.')}`}
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
                  className={cx(
                    'hover:bg-depth-2 cursor-pointer rounded-xs py-0.5',
                    proves(s) && 'bg-tint box-decoration-clone shadow-[inset_0_-2px_var(--color-overlay)]',
                  )}
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
              className={cx(
                'group/gap [&>span]:bg-line hover:[&>span]:bg-ink aria-pressed:[&>span]:bg-overlay relative',
                'z-1 my-1 block h-7 w-full [&>span]:block [&>span]:h-0.5 aria-pressed:[&>span]:h-1.5',
              )}
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
