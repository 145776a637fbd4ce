import { Link } from 'react-router';
import type { Api } from '../../shared/api';
import { chanceWords, dayOf, fm, halfRange, minutes, percent, shortDay, signed, strandName } from '../../shared/format';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';

type ReaderData = Api<'ReaderView'>;
import { courseWord, goalKinds } from '../../shared/goalKinds';

type Goal = Api<'GoalStandingView'>;

export function GoalBar({ goal }: { goal: Goal }) {
  const share = Math.min(1, goal.done / goal.target),
    due = Math.min(1, goal.dueNow / goal.target);
  const kind = goalKinds[goal.kind];
  return (
    <div className="goalbar">
      <p>
        <b>{kind.name()}</b> {kind.outOf(goal.done, goal.target)}
      </p>
      <svg viewBox="0 0 180 12" preserveAspectRatio="none" aria-hidden>
        <rect x=".5" y="3" width="179" height="6" fill="var(--paper)" stroke="var(--ink)" />
        <rect x=".5" y="3" width={share * 179} height="6" fill="var(--depth-6)" />
        {kind.grows && <path d={`M${due * 179} 0v12`} stroke="var(--ink)" strokeWidth="2" />}
      </svg>
      <p className="soft">{goal.course === 'Reached' ? courseWord(goal.course) : chanceWords(goal.chance)}</p>
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
    : t('90 % range {{low}}–{{high}} fm, typical of grade {{grade}}', {
        low: fm(r.low),
        high: fm(r.high),
        grade: r.gradeLabel,
      });

export function Strands({ strands }: { strands: ReaderData['strands'] }) {
  const asked = strands.filter((s) => s.asked > 0);
  if (asked.length === 0) return <p className="soft small">{t('No questions answered yet.')}</p>;
  const weakest = [...asked].sort((a, b) => a.mean - b.mean)[0];
  const x = (p: number) => p * 96;
  return (
    <ul className="strands">
      {asked.map((s) => (
        <li key={s.strand} className={s === weakest && s.asked >= 3 ? 'weak' : undefined}>
          <span>{strandName(s.strand)}</span>
          <svg viewBox="0 0 96 14" preserveAspectRatio="none" height="14" aria-hidden>
            <path d="M0 7H96" stroke="var(--line)" />
            <rect x={x(s.low)} y="3" width={x(s.high) - x(s.low)} height="8" fill="var(--depth-4)" />
            <path d={`M${x(s.mean)} 0v14`} stroke="var(--ink)" strokeWidth="2.5" />
          </svg>
          <b>{percent(s.mean)}</b>
          <span className="soft">{t('{{right}} of {{asked}}', { right: s.right, asked: s.asked })}</span>
        </li>
      ))}
    </ul>
  );
}

/** Every reading with date, time open and result. */
export function ReadingTable({ classId, readings }: { classId: string; readings: ReaderData['readings'] }) {
  return (
    <table className="readings">
      <thead>
        <tr>
          <th>{t('Handed in')}</th>
          <th>{t('Text')}</th>
          <th className="num">{t('Depth')}</th>
          <th className="num">{t('Fit')}</th>
          <th className="num">{t('Time open')}</th>
          <th className="num">{t('First try')}</th>
          <th className="num">{t('Level')}</th>
          <th>{t('State')}</th>
        </tr>
      </thead>
      <tbody>
        {readings.map((k) => (
          <tr key={k.ticketId}>
            <td>{k.handedInAt ? dayOf(k.handedInAt) : k.dueOn ? t('due {{day}}', { day: shortDay(k.dueOn) }) : '–'}</td>
            <th scope="row">
              <Link to={`/class/${classId}/tickets/${k.ticketId}`}>{k.title}</Link>
            </th>
            <td className="num">{fm(k.versionDepth)}</td>
            <td className="num">{percent(k.forecast)}</td>
            <td className="num">{minutes(k.seconds)}</td>
            <td className="num">{k.score == null ? '–' : percent(k.score)}</td>
            <td className="num">
              {k.beforeMean == null || k.afterMean == null
                ? '–'
                : `${fm(k.afterMean)} (${signed(k.afterMean - k.beforeMean)})`}
            </td>
            <td>{t(ticketWords[k.state])}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
