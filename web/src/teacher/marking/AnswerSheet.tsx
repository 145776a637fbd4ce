import { cx } from 'class-variance-authority';
import { BookOpen } from '@phosphor-icons/react';
import { useState } from 'react';
import { dayOf, strandName, timeOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Flag, Plate } from '../../ui/Shapes';
import { piecesOf, type Entry } from './queue';
import { markSaid, markSum } from '../../shared/scores';
import type { Marks } from './useMarks';

/** The question with the sentences that prove its answer, and the answer in hand with those before it behind it. */
export function AnswerSheet({ of, e, name, read }: { of: Marks; e: Entry; name: string; read: () => void }) {
  const { q, a } = e;
  const [behind, look] = useState(true);
  return (
    <section aria-label={t('Answer')} className="flex min-h-0 flex-col overflow-auto">
      <div className="grid gap-2.5 px-6 pt-3 pb-5">
        <div className="flex flex-wrap items-center gap-2.5">
          <Plate>{q.title}</Plate>
          <span className="text-soft text-sm">
            {[
              q.number && t('question {{n}}', { n: q.number }),
              q.strand && strandName(q.strand),
              t('{{count}} marks', { count: q.most }),
            ]
              .filter(Boolean)
              .join(', ')}
          </span>
          <span className="grow" />
          {q.textId && (
            <Button size="sm" onClick={read}>
              <BookOpen size={16} aria-hidden />
              {t('Whole text')} <kbd>T</kbd>
            </Button>
          )}
        </div>
        <h2 className="text-[22px] leading-7 text-pretty whitespace-pre-line">{q.stem}</h2>
        {a.proof !== null && <p className="border-depth-5 border-l-3 pl-3 font-serif text-lg">{a.proof}</p>}
      </div>
      <div className="bg-depth-2 border-depth-4 grow border-t-2 border-double px-6 pt-6 pb-4">
        {behind &&
          a.earlier.map((x) => (
            <div key={x.round} className="border-soft bg-depth-1 mx-3.5 rounded-t-md border border-b-0 px-4 py-2">
              <p className="text-soft text-sm">
                {t('Try {{n}}, {{day}}', { n: x.round, day: dayOf(x.at) })}
                {x.mark !== null && `, ${markSaid(x.mark)}`}
                {x.sentBack && `. ${t('You sent it back: “{{words}}”', { words: x.sentBack })}`}
              </p>
              <p className="font-first wrap-anywhere">“{x.words}”</p>
            </div>
          ))}
        <article className="border-ink bg-paper grid gap-2.5 rounded-md border px-6 py-4">
          <div className="flex flex-wrap items-center gap-3">
            <Flag chosen>{name}</Flag>
            <span className="text-soft text-sm">
              {a.earlier.length > 0 && `${t('Try {{n}}', { n: a.earlier.length + 1 })}, `}
              {dayOf(a.handedInAt)} {timeOf(a.handedInAt)}
            </span>
            {a.earlier.length > 0 && (
              <Button size="sm" look="plain" onClick={() => look(!behind)}>
                {behind ? t('Hide earlier') : t('Compare')}
              </Button>
            )}
          </div>
          <p className="font-first text-xl leading-9 wrap-anywhere whitespace-pre-line">
            {piecesOf(a.words, a.proposal?.words ?? []).map((p, i) => (
              <span key={i} className={cx(p.by && 'border-ink border-b-2')}>
                {p.text}
              </span>
            ))}
          </p>
          {a.proposal && a.proposal.words.length > 0 && (
            <p className="text-soft border-line border-t pt-1.5 text-sm">
              {t('Underlined: what the proposal went by')}
            </p>
          )}
        </article>
        <Given of={of} e={e} />
      </div>
    </section>
  );
}

/** How the others of this question were marked, so that like is marked alike. */
function Given({ of, e }: { of: Marks; e: Entry }) {
  const marks = of.entries.flatMap((x) => (x.q.key === e.q.key && x.a.mark !== null ? [markSum(x.a.mark)] : []));
  if (marks.length === 0) return null;
  return (
    <p className="mt-3 flex flex-wrap items-center gap-4 text-sm">
      <span>{t('Marked here so far: {{count}}', { count: marks.length })}</span>
      {Array.from({ length: e.q.most + 1 }, (_, n) => {
        const count = marks.filter((m) => m === n).length;
        return (
          <span key={n} aria-label={t('{{n}} marks: {{count}} answers', { n, count })}>
            <b>{n}</b> <span aria-hidden>{'●'.repeat(Math.min(count, 12))}</span>
          </span>
        );
      })}
    </p>
  );
}
