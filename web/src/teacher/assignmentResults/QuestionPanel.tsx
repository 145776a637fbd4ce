import { cx } from 'class-variance-authority';
import { CaretLeft, CaretRight, Check } from '@phosphor-icons/react';
import { useState } from 'react';
import { percent, strandName } from '../../shared/format';
import { phrase, t, type Phrase } from '../../shared/words';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { AttemptGlyph, markName } from '../../ui/TideMarks';
import { CorrectQuestion } from './CorrectQuestion';
import { HardPassage } from './HardPassage';
import { sortsWord, type Asked, type Column, type Results } from './results';

const sorted: Record<NonNullable<ReturnType<typeof sortsWord>>, Phrase> = {
  well: phrase('Sorts strong from weak well ({{n}})'),
  'a little': phrase('Sorts strong from weak a little ({{n}})'),
  hardly: phrase('Hardly sorts strong from weak ({{n}})'),
  against: phrase('Goes against the other questions ({{n}})'),
};

/** One question opened out of its column: how it went, whom each choice drew, and what went wrong most. */
export function QuestionPanel({
  r,
  columns,
  focus,
  look,
  name,
  may,
}: {
  r: Results;
  columns: Column[];
  focus: number;
  look: (column: number) => void;
  name: (id: string) => string;
  may: boolean;
}) {
  const [over, show] = useState<'passage' | 'correct' | null>(null);
  const c = columns[focus];
  if (!c) return null;
  const { q } = c;
  const word = sortsWord(q.sorts);
  const usual = r.usual.find((u) => u.strand === q.question.strand);
  return (
    <section
      aria-labelledby="question"
      className="border-overlay bg-paper grid min-h-0 overflow-auto border-t-2 md:grid-cols-[280px_minmax(0,1fr)_236px] lg:max-h-56"
    >
      <div className="px-4 pt-2 pb-2">
        <h2 id="question" className="flex items-center gap-1.5 text-lg leading-6">
          {c.onTheWay ? t('On the way {{n}}', { n: q.number }) : t('Question {{n}}', { n: q.number })}
          <span className="font-ui text-sm font-normal">{strandName(q.question.strand)}</span>
          <span className="grow" />
          <IconButton look="plain" label={t('Previous column')} disabled={focus === 0} onClick={() => look(focus - 1)}>
            <CaretLeft size={16} aria-hidden />
          </IconButton>
          <IconButton
            look="plain"
            label={t('Next column')}
            disabled={focus === columns.length - 1}
            onClick={() => look(focus + 1)}
          >
            <CaretRight size={16} aria-hidden />
          </IconButton>
        </h2>
        <p className="mt-0.5 font-semibold">{q.question.stem}</p>
        <Counts q={q} />
        <p className="text-soft text-sm">
          {word && t(sorted[word], { n: q.sorts?.toFixed(2) ?? '' })}
          {usual && usual.asked > 0 && (
            <span className="block">
              {t('The class in twelve weeks: {{right}} of {{asked}} {{strand}} questions right at once, {{share}}', {
                right: usual.right,
                asked: usual.asked,
                strand: strandName(q.question.strand),
                share: percent(usual.right / usual.asked),
              })}
            </span>
          )}
        </p>
      </div>
      <Drew q={q} />
      <div className="border-line px-4 pt-2 pb-2 text-sm md:border-l">
        <CommonWrong q={q} />
        <div className="mt-2 flex flex-wrap gap-2">
          {r.assignment.textId && (
            <Button size="sm" onClick={() => show('passage')}>
              {t('Show passage')}
            </Button>
          )}
          {may && !c.onTheWay && (
            <Button size="sm" onClick={() => show('correct')}>
              {t('Correct question…')}
            </Button>
          )}
        </div>
      </div>
      {over === 'correct' && (
        <CorrectQuestion
          assignmentId={r.assignment.id}
          textId={r.assignment.textId}
          q={q}
          name={name}
          close={() => show(null)}
        />
      )}
      {over === 'passage' && r.assignment.textId && (
        <HardPassage r={r} q={q} textId={r.assignment.textId} close={() => show(null)} />
      )}
    </section>
  );
}

const Counts = ({ q }: { q: Asked }) => (
  <ul className="mt-1.5 flex flex-wrap gap-3 text-sm">
    {(
      [
        ['RightAtOnce', q.atOnce],
        ['AfterAnotherTry', q.later],
        ['NotYet', q.notYet],
        ['Unanswered', q.unanswered],
      ] as const
    ).map(
      ([mark, n]) =>
        n > 0 && (
          <li key={mark} className="inline-flex items-center gap-1.25">
            <AttemptGlyph mark={mark} hidden /> {n} {markName(mark)}
          </li>
        ),
    )}
  </ul>
);

/** What readers answered at the first try, and who: filled, those strong elsewhere in the quiz. */
function Drew({ q }: { q: Asked }) {
  if (q.drew.length === 0)
    return (
      <p className="text-soft border-line px-4 pt-2 text-sm md:border-l">
        {t('Answered in readers’ own words: open an answer by its reader’s name.')}
      </p>
    );
  return (
    <div className="border-line px-4 py-1 md:border-l">
      <table className="w-full text-sm">
        <thead>
          <tr className="text-soft">
            <th scope="col" className="pl-6 text-left font-normal">
              {t('First answers of {{count}} readers', { count: q.answered })}
            </th>
            <th scope="col" className="px-2 text-left font-normal whitespace-nowrap">
              <span aria-hidden>● </span>
              {t('strong')} <span aria-hidden>○ </span>
              {t('weak')}
            </th>
            <th scope="col">
              <span className="sr-only">{t('Readers')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {q.drew.map((d, i) => (
            <tr key={i} className={cx('align-top', d.right && 'font-semibold')}>
              <th
                scope="row"
                className={cx('flex items-start gap-2 py-0.5 text-left', d.right ? 'font-semibold' : 'font-normal')}
              >
                <span className="inline-grid h-5 w-4 flex-none place-content-center">
                  {d.right && <Check size={16} aria-label={t('right')} />}
                </span>
                {d.said}
              </th>
              <td className="px-2 whitespace-nowrap">
                <span role="img" aria-label={t('{{strong}} strong, {{weak}} weak', { strong: d.strong, weak: d.weak })}>
                  {'●'.repeat(Math.min(d.strong, most))}
                  {'○'.repeat(Math.min(d.weak, most))}
                </span>
              </td>
              <td className="text-right">{d.strong + d.weak}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
const most = 15;

function CommonWrong({ q }: { q: Asked }) {
  const wrong = q.commonWrong;
  if (q.drew.length === 0) return null;
  if (!wrong) return <p className="text-soft">{t('Nothing wrong was answered at the first try.')}</p>;
  return (
    <>
      <h3 className="font-ui text-sm font-semibold">{t('Most common wrong answer')}</h3>
      <p>
        {t('“{{choice}}”, by {{count}} readers', {
          choice: wrong.said.replace(/^["“]|["”]$/g, ''),
          count: wrong.strong + wrong.weak,
        })}
        {wrong.strong > 0 && wrong.strong + wrong.weak > 1 && `, ${t('{{n}} of them strong', { n: wrong.strong })}`}.
      </p>
      {wrong.reason && <p className="text-soft">{t('Readers saw: “{{words}}”', { words: wrong.reason })}</p>}
    </>
  );
}
