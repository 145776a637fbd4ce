import { cx } from 'class-variance-authority';
import { Link } from 'react-router';
import type { Api } from '../../shared/api';
import { chanceWords, dayOf, fm, halfRange, minutes, percent, shortDay, signed, strandName } from '../../shared/format';
import { scoreOf } from '../../shared/scores';
import { ticketWords } from '../../shared/ticketStates';
import { say, t } from '../../shared/words';

type ReaderData = Api<'ReaderView'>;
import { courseWord, goalKinds } from '../../shared/goalKinds';
import { Meter } from '../../ui/Measures';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Goal = Api<'GoalStandingView'>;

export function GoalBar({ goal }: { goal: Goal }) {
  const kind = goalKinds[goal.kind];
  return (
    <div className="mt-1 text-sm">
      <p className="flex justify-between gap-1.5">
        <b>{kind.name()}</b> {kind.outOf(goal.done, goal.target)}
      </p>
      <Meter
        label={kind.name()}
        of={goal.target}
        at={goal.done}
        due={kind.grows ? Math.min(goal.target, goal.dueNow) : undefined}
      />
      <p className="text-soft">{goal.course === 'Reached' ? courseWord(goal.course) : chanceWords(goal.chance)}</p>
    </div>
  );
}

/** How sure the level is; a level a teacher has set is not estimated. */
export const rangeWords = (r: ReaderData) =>
  r.set
    ? t('Set by {{who}}; the estimate is {{depth}} ± {{range}} fm', {
        who: r.set.by,
        depth: fm(r.set.estimate),
        range: halfRange(r.set.estimateSd).toFixed(1),
      })
    : t('90% range {{low}}–{{high}} fm, typical of {{level}}', {
        low: fm(r.low),
        high: fm(r.high),
        level: say(r.levelName),
      });

export function Strands({ strands, wide = false }: { strands: ReaderData['strands']; wide?: boolean }) {
  const asked = strands.filter((s) => s.asked > 0);
  if (asked.length === 0) return <p className="text-soft text-sm">{t('No questions answered yet.')}</p>;
  const weakest = [...asked].sort((a, b) => a.mean - b.mean)[0];
  const x = (p: number) => p * 96;
  return (
    <ul className={cx('grid gap-0.75 text-sm', wide && 'grid-cols-2 gap-x-8')}>
      {asked.map((s) => (
        <li
          key={s.strand}
          className={cx(
            'grid grid-cols-[84px_minmax(16px,1fr)_36px_54px] items-center gap-1.25',
            s === weakest && s.asked >= 3 && 'font-bold',
          )}
        >
          <span>{strandName(s.strand)}</span>
          <svg viewBox="0 0 96 14" preserveAspectRatio="none" height="14" aria-hidden className="w-full">
            <path d="M0 7H96" stroke="var(--color-line)" />
            <rect x={x(s.low)} y="3" width={x(s.high) - x(s.low)} height="8" fill="var(--color-depth-4)" />
            <path d={`M${x(s.mean)} 0v14`} stroke="var(--color-ink)" strokeWidth="2.5" />
          </svg>
          <span className="text-right">{percent(s.mean)}</span>
          <span className="text-soft">{t('{{right}} of {{asked}}', { right: s.right, asked: s.asked })}</span>
        </li>
      ))}
    </ul>
  );
}

const dueWords = (day: string | null | undefined) => (day ? t('due {{day}}', { day: shortDay(day) }) : '–');

/** Every reading with date, time open and result. */
export function ReadingTable({ classId, readings }: { classId: string; readings: ReaderData['readings'] }) {
  return (
    <Table>
      <TableHead>
        <tr>
          <Th>{t('Handed in')}</Th>
          <Th>{t('Text')}</Th>
          <Th num>{t('Depth')}</Th>
          <Th num>{t('Fit')}</Th>
          <Th num>{t('Active time')}</Th>
          <Th num>{t('First try')}</Th>
          <Th num>{t('Level')}</Th>
          <Th>{t('State')}</Th>
        </tr>
      </TableHead>
      <TableBody>
        {readings.map((k) => (
          <tr key={k.ticketId}>
            <Td>{k.handedInAt ? dayOf(k.handedInAt) : dueWords(k.dueOn)}</Td>
            <Th scope="row">
              <Link to={`/class/${classId}/tickets/${k.ticketId}`}>{k.title}</Link>
            </Th>
            <Td num>{k.versionDepth == null ? '–' : fm(k.versionDepth)}</Td>
            <Td num>{k.forecast == null ? '–' : percent(k.forecast)}</Td>
            <Td num>{minutes(k.seconds)}</Td>
            <Td num>{k.score == null ? '–' : scoreOf(k.kind, k.score)}</Td>
            <Td num>
              {k.beforeMean == null || k.afterMean == null
                ? '–'
                : `${fm(k.afterMean)} (${signed(k.afterMean - k.beforeMean)})`}
            </Td>
            <Td>{t(ticketWords[k.state])}</Td>
          </tr>
        ))}
      </TableBody>
    </Table>
  );
}
