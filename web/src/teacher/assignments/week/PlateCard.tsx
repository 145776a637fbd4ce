import {
  BookOpen,
  LinkSimple,
  ListBullets,
  ListChecks,
  Microphone,
  PencilLine,
  type Icon,
} from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { dayOf } from '../../../shared/format';
import { ofText, taskWords, type TaskKind } from '../../../shared/taskKinds';
import { t } from '../../../shared/words';
import { LateMark, StateMark } from '../../../ui/StateMark';
import { unusual } from '../terms';
import type { useMoves } from './useMoves';
import type { Laid, Plate } from './weekLayout';

type Row = Plate['assignment'];

/** How far an assignment is: what is handed in filled, what is under way hatched. */
export function Progress({ a, className }: { a: Row; className?: string }) {
  const of = Math.max(1, a.tickets);
  return (
    <span
      aria-hidden
      className={cx('border-ink bg-paper relative inline-block h-2.5 flex-none overflow-clip border', className)}
    >
      <i className="bg-depth-6 absolute inset-y-0 left-0" style={{ width: `${(100 * a.done) / of}%` }} />
      <i
        className={
          'absolute inset-y-0 bg-[repeating-linear-gradient(135deg,var(--color-depth-6)_0_2px,transparent_2px_4px)]'
        }
        style={{ left: `${(100 * a.done) / of}%`, width: `${(100 * a.underWay) / of}%` }}
      />
    </span>
  );
}

/** The figures of a plate, as shapes and numbers; what there is none of is not said. */
export function Figures({ a }: { a: Row }) {
  const parts = [
    ['Released', a.done, t('handed in')],
    ['UnderWay', a.underWay, t('under way')],
    ['Waiting', a.waiting + a.planned, a.planned > 0 ? t('planned') : t('waiting')],
    ['SentBack', a.sentBack, t('sent back')],
    ['Closed', a.closed, t('closed')],
  ] as const;
  return parts
    .filter(([, n]) => n > 0)
    .map(([state, n, word]) => (
      <span key={state} className="inline-flex items-center gap-1">
        <StateMark state={state === 'Waiting' && a.planned > 0 ? 'Planned' : state} bare />
        {n}
        <span className="sr-only"> {word}</span>
      </span>
    ));
}

/** Whom it fits, in words; of a plate that is late, how many are. */
export function FitWords({ p }: { p: Plate }) {
  if (p.late > 0)
    return (
      <span className="inline-flex items-center gap-1 font-medium">
        <LateMark bare />
        {t('{{n}} late', { n: p.late })}
      </span>
    );
  if (p.had > 0) return t('{{n}} of {{of}} have had it', { n: p.had, of: p.readers.length });
  if (!ofText(p.assignment.kind)) return t(taskWords[p.assignment.kind]);
  const { within, easy, tooDeep } = p.fit;
  return [
    within > 0 && t('{{n}} within reach', { n: within }),
    easy > 0 && t('{{n}} easy', { n: easy }),
    tooDeep > 0 && t('{{n}} too deep', { n: tooDeep }),
  ]
    .filter(Boolean)
    .join(', ');
}

/** What there is to do, as shapes. */
const glyphs: Record<TaskKind, Icon[]> = {
  Text: [BookOpen, ListChecks],
  Quiz: [ListChecks],
  Recording: [BookOpen, Microphone],
  Written: [PencilLine],
  Words: [ListBullets],
  Link: [LinkSimple],
  LevelCheck: [ListChecks],
};

export const Glyphs = ({ a }: { a: Row }) => (
  <span className="inline-flex flex-none gap-1.5" aria-hidden>
    {glyphs[a.kind].map((Glyph, i) => (
      <Glyph key={i} size={16} />
    ))}
    {a.aloud && <Microphone size={16} />}
  </span>
);

/** One assignment in its row, from the day it becomes visible to the day it is due. */
export function PlateCard({
  called,
  plate,
  from,
  to,
  lane,
  closes,
  narrow,
  chosen,
  choose,
  moves,
}: Laid & {
  /** Its readers, where they are single ones; then all stands on one line. */
  called: string;
  narrow: boolean;
  chosen: boolean;
  choose: () => void;
  moves: ReturnType<typeof useMoves>;
}) {
  const a = plate.assignment;
  return (
    <>
      <button
        type="button"
        aria-pressed={chosen}
        draggable={moves.may}
        onDragStart={(e) => {
          e.dataTransfer.effectAllowed = 'move';
          e.dataTransfer.setData('text/plain', a.title);
          moves.drag(plate);
        }}
        onDragEnd={() => moves.drag(null)}
        onKeyDown={moves.onKey(plate)}
        onClick={choose}
        className={cx(
          'bg-paper z-1 mx-0.75 grid min-w-0 content-start gap-0.5 rounded-r-xs border border-l-4 px-2 py-1 text-left',
          '[border-left-style:double]',
          a.draft ? 'border-soft border-dashed' : 'border-ink',
          chosen && 'outline-overlay bg-tint outline-2',
        )}
        style={{ gridColumn: `${from + 1} / ${to + 2}`, gridRow: lane + 1 }}
      >
        <span className="flex min-w-0 items-center justify-between gap-2">
          <b className={cx('text-sm font-semibold', narrow ? 'wrap-anywhere' : 'truncate')}>
            {called && <span className="font-normal">{called}: </span>}
            {a.title}
          </b>
          {!narrow && called && <Figures a={a} />}
          {!narrow && called && plate.late > 0 && <LateMark />}
          {!narrow && !called && <Glyphs a={a} />}
        </span>
        <span className="sr-only">
          {a.draft ? t('draft') : ''} {t('from {{day}}', { day: dayOf(a.visibleFrom) })}
          {a.dueOn && `, ${t('due')} ${dayOf(a.dueOn)}`}
          {a.kind !== 'Text' && `, ${t(taskWords[a.kind])}`}
          {unusual(a).length > 0 && `, ${unusual(a).join(', ')}`}
        </span>
        {!narrow && !called && (
          <span className="flex min-w-0 flex-wrap items-center justify-between gap-x-2 text-sm">
            {a.draft ? (
              <span>{t('draft, {{count}} readers', { count: plate.readers.length })}</span>
            ) : (
              <span className="inline-flex items-center gap-2">
                <Progress a={a} className="w-12" />
                <Figures a={a} />
              </span>
            )}
            <span className="min-w-0 truncate">
              <FitWords p={plate} />
            </span>
          </span>
        )}
      </button>
      {closes !== null && <Tail from={to + 1} to={closes} lane={lane} />}
    </>
  );
}

/** From the day it was due to the day it closes. */
const Tail = ({ from, to, lane }: { from: number; to: number; lane: number }) => (
  <i
    aria-hidden
    className={
      'border-ink pointer-events-none z-1 h-2.5 self-center border-r-2 bg-[length:100%_1px] bg-center bg-no-repeat ' +
      'bg-[linear-gradient(var(--color-ink),var(--color-ink))]'
    }
    style={{ gridColumn: `${from + 1} / ${to + 2}`, gridRow: lane + 1 }}
  />
);
