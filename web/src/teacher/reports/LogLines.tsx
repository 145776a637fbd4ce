import { cx } from 'class-variance-authority';
import { Play } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { clock, dayOf, fm, minutes, timeOf } from '../../shared/format';
import { taskWords } from '../../shared/taskKinds';
import { t } from '../../shared/words';
import { TideMarks } from '../../ui/TideMarks';
import type { LogRow } from './reportQueries';

export const logKey = (l: LogRow) => l.ticketId ?? l.ownReadingId ?? l.at;

/** What one line was: a reading, an opening, or something read elsewhere, with what belongs to it. */
export function whatWas(l: LogRow) {
  if (l.ticketId === null) return t('elsewhere, as the reader says');
  if (!l.full && l.kind === 'Text') return t('opening, not counted');
  return [
    l.version && l.depth !== null ? t('{{version}}, {{n}} fm', { version: l.version, n: fm(l.depth) }) : '',
    l.kind !== null && l.kind !== 'Text' ? t(taskWords[l.kind]) : '',
    l.keptWords > 0 ? t('{{count}} words kept', { count: l.keptWords }) : '',
  ]
    .filter(Boolean)
    .join(', ');
}

export const rightOf = (l: LogRow) => l.marks.filter((m) => m === 'RightAtOnce').length;

/** Recordings play where they are marked. */
export const Recording = ({ l, classId }: { l: LogRow; classId: string }) =>
  l.recordId !== null &&
  l.soundSeconds !== null && (
    <Link
      to={`/class/${classId}/readers/${l.readerId}/records/${l.recordId}`}
      className="border-soft inline-flex h-6 items-center gap-1 rounded-full border px-2 text-sm no-underline"
      aria-label={t('Recording, {{time}}', { time: clock(l.soundSeconds) })}
    >
      <Play size={12} aria-hidden /> {clock(l.soundSeconds)}
    </Link>
  );

/** One reader's lines, the latest first; openings are dashed and in no sum. */
export function LogLines({ rows, classId }: { rows: LogRow[]; classId: string }) {
  if (rows.length === 0) return <p className="px-4 py-3">{t('Nothing read in these days.')}</p>;
  return (
    <ol>
      {rows.map((l) => (
        <li
          key={logKey(l)}
          className="border-line grid grid-cols-[78px_minmax(0,1fr)_auto] gap-x-2.5 border-b px-4 py-1.5"
        >
          <span className="text-sm">
            <b>{dayOf(l.at)}</b>
            {l.ticketId !== null && <span className="text-soft block">{timeOf(l.at)}</span>}
          </span>
          <span
            className={cx(
              'grid border-l-4 pl-2 text-sm',
              l.full || l.kind !== 'Text' ? 'border-l-ink [border-left-style:double]' : 'border-l-soft border-dashed',
            )}
          >
            {l.ticketId === null ? (
              <b>{l.title}</b>
            ) : (
              <Link
                to={`/class/${classId}/tickets/${l.ticketId}`}
                className="font-semibold no-underline hover:underline"
              >
                {l.title}
              </Link>
            )}
            <span className="text-soft">{whatWas(l)}</span>
          </span>
          <span className="grid justify-items-end gap-0.5 text-sm">
            <span className="inline-flex items-center gap-2">
              <Recording l={l} classId={classId} />
              {l.seconds > 0 && minutes(l.seconds)}
            </span>
            {l.marks.length > 0 && (
              <span className="inline-flex items-center gap-1.5">
                <TideMarks of={l.marks} />
                {t('{{n}} of {{of}}', { n: rightOf(l), of: l.marks.length })}
              </span>
            )}
          </span>
        </li>
      ))}
    </ol>
  );
}
