import { cx } from 'class-variance-authority';
import { Microphone, PencilLine, Star } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { clock, dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { Segments } from '../../ui/Segments';
import { Flag } from '../../ui/Shapes';
import { toMark, type Entry, type Part } from './queue';
import { markSaid } from '../../shared/scores';
import type { useOthers, useRecordings } from './markingQueries';
import { OtherItem } from './OtherItem';
import { OtherItems } from './OtherItems';
import type { Marks } from './useMarks';

/** What waits, oldest first: questions with their readers, or readers with their questions; then what is heard. */
export function QueueList({
  of,
  called,
  classId,
  recordings,
  others,
  recommended,
  look,
  looking,
}: {
  of: Marks;
  called: (id: string, given: string) => string;
  classId: string;
  recordings: NonNullable<ReturnType<typeof useRecordings>['data']>;
  others: NonNullable<ReturnType<typeof useOthers>['data']>;
  /** How many recommendations nobody has looked at. */
  recommended: number;
  /** Shows recommendations instead of an answer. */
  look: (on: boolean) => void;
  looking: boolean;
}) {
  const waits = of.entries.filter(toMark).length + recordings.length + others.length;
  return (
    <aside className="bg-sand border-ink flex min-h-0 flex-col overflow-auto max-lg:border-b lg:border-r">
      <header className="grid gap-2 px-4 pt-3 pb-3">
        <div className="flex items-baseline gap-2.5">
          <PageTitle>{t('Marking')}</PageTitle>
          <span className="text-soft text-sm">{t('{{count}} wait, oldest first', { count: waits })}</span>
        </div>
        <div>
          <Segments
            label={t('Order')}
            value={of.order}
            set={of.setOrder}
            options={[
              { value: 'question', label: t('By question') },
              { value: 'reader', label: t('By reader') },
            ]}
          />
        </div>
      </header>
      <ol aria-label={t('What waits')}>
        {of.parts.map((p) => (
          <PartOf key={p.key} part={p} of={of} called={called} looking={looking} look={look} />
        ))}
        {recordings.map((k) => (
          <OtherItem key={k.id} icon={<Microphone size={20} aria-hidden />}>
            <Link to={`/class/${classId}/readers/${k.readerId}/records/${k.id}`} className="font-semibold">
              {t('Recording of {{name}}', { name: called(k.readerId, k.givenName) })}
            </Link>
            <span className="text-sm">
              {k.title}, {clock(k.seconds)}
              {k.listening === 'Heard' && `, ${t('with a draft')}`}
            </span>
            <span className="text-soft text-sm">{t('since {{day}}', { day: dayOf(k.readAt) })}</span>
          </OtherItem>
        ))}
        <OtherItems rows={others} classId={classId} called={called} />
        <OtherItem icon={<Star size={20} aria-hidden />} chosen={looking}>
          <button type="button" className="text-left font-semibold underline" onClick={() => look(true)}>
            {t('Recommendations')}
          </button>
          <span className="text-soft text-sm">
            {recommended === 0 ? t('none new') : t('{{count}} new recommendations', { count: recommended })}
          </span>
        </OtherItem>
      </ol>
      <span className="grow" />
      {of.ready > 0 && (
        <footer className="border-ink flex items-center justify-between gap-2 border-t px-4 py-2">
          <span>
            <b>{t('Marked')}</b> <span className="text-sm">{t('{{count}} to release', { count: of.ready })}</span>
          </span>
          <Button size="sm" onClick={of.releaseAll}>
            {t('Release all')}
          </Button>
        </footer>
      )}
    </aside>
  );
}

/** A question, or a reader, and the lead line of what hangs under it. */
function PartOf({
  part,
  of,
  called,
  looking,
  look,
}: {
  part: Part;
  of: Marks;
  called: (id: string, given: string) => string;
  looking: boolean;
  look: (on: boolean) => void;
}) {
  const [first] = part.entries;
  if (!first) return null;
  const here = !looking && part.entries.some((e) => e.key === of.entry?.key);
  const byQuestion = of.order === 'question';
  const since = part.entries.map((e) => e.a.handedInAt).sort()[0] ?? '';
  return (
    <li
      className={cx('border-line border-t px-4 py-2.5', here && 'border-overlay bg-tint border-y border-l-3 pl-3.25')}
    >
      <div className="grid grid-cols-[20px_1fr] gap-x-3">
        <PencilLine size={20} aria-hidden />
        <div className="grid">
          <b>{byQuestion ? first.q.title : called(first.a.readerId, first.a.givenName)}</b>
          <span className="text-sm">{countOf(part, byQuestion)}</span>
          <span className="text-soft text-sm">{t('since {{day}}', { day: dayOf(since) })}</span>
        </div>
      </div>
      <ol className="border-ink relative mt-1.5 ml-2.25 grid gap-1 border-l">
        {part.entries.map((e) => (
          <li key={e.key}>
            <Knot
              e={e}
              now={!looking && e.key === of.entry?.key}
              name={byQuestion ? called(e.a.readerId, e.a.givenName) : e.q.title}
              go={() => {
                look(false);
                of.go(e);
              }}
            />
          </li>
        ))}
      </ol>
    </li>
  );
}

const countOf = ({ entries: [first, ...rest] }: Part, byQuestion: boolean) => {
  const count = rest.length + 1;
  if (!byQuestion) return t('{{count}} answers', { count });
  return first?.q.number
    ? t('Question {{n}}, {{count}} answers', { n: first.q.number, count })
    : t('Written task, {{count}} answers', { count });
};

function whereIs(e: Entry, now: boolean) {
  if (e.a.mark !== null) return markSaid(e.a.mark);
  return now ? t('now') : t('to mark');
}

function Knot({ e, now, name, go }: { e: Entry; now: boolean; name: string; go: () => void }) {
  const waits = toMark(e);
  return (
    <button
      type="button"
      aria-current={now ? 'true' : undefined}
      className="hover:bg-depth-1 -ml-1.75 flex w-full items-center gap-3.5 py-0.5 text-left"
      onClick={go}
    >
      <i
        aria-hidden
        className={cx(
          'size-3.25 flex-none rounded-full border-2',
          now ? 'border-overlay bg-overlay' : cx('border-ink', waits ? 'bg-paper' : 'bg-ink'),
        )}
      />
      <Flag chosen={now}>{name}</Flag>
      <span className={cx('ml-auto text-sm', now ? 'font-semibold' : waits && 'text-soft')}>{whereIs(e, now)}</span>
    </button>
  );
}
