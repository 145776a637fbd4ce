import { dayOf } from '../../shared/format';
import { type TaskKind } from '../../shared/taskKinds';
import { t } from '../../shared/words';
import type { MyTicket } from '../queries';

export const late = (k: MyTicket, today: string) => k.dueOn != null && k.dueOn < today && k.need !== 'Recommended';

/** Until when, said as a plain fact. */
export function dueWords(k: MyTicket, today: string) {
  if (k.dueOn === null || k.dueOn === undefined) return '';
  if (k.dueOn === today) return t('Due today');
  return late(k, today) ? t('Was due on {{day}}', { day: dayOf(k.dueOn) }) : t('Due {{day}}', { day: dayOf(k.dueOn) });
}

/** How much it is wanted, where it is done, and how long it is open. */
export const terms = (k: MyTicket) =>
  [
    k.need === 'Extra' && t('extra'),
    k.need === 'Recommended' && t('if you like'),
    k.place === 'AtHome' && t('at home'),
    k.place === 'AtSchool' && t('at school'),
    k.closesOn && t('open until {{day}}', { day: dayOf(k.closesOn) }),
  ].filter((x) => x !== false && x !== null && x !== '');

/** How much it is, by what there is to do. */
const lengths: Record<TaskKind, (k: MyTicket) => (string | false)[]> = {
  Text: (k) => [
    t('{{count}} words', { count: k.words }),
    k.questions > 0 && t('{{count}} questions', { count: k.questions }),
    k.aloud && t('to read aloud'),
  ],
  Quiz: (k) => [t('{{count}} questions', { count: k.questions })],
  Recording: (k) => [t('{{count}} words', { count: k.words }), t('to read aloud')],
  Written: () => [t('to write')],
  Words: (k) => [t('{{count}} words to practise', { count: k.toPractise })],
  Link: () => [t('a page to open')],
  LevelCheck: () => [],
};

/** What is left of it. */
export function lengthWords(k: MyTicket) {
  const left = k.questions - k.answered;
  return k.state === 'UnderWay' && k.answered > 0 && left > 0
    ? t('{{count}} questions left', { count: left })
    : lengths[k.kind](k).filter(Boolean).join(', ');
}

/** What the button says that leads to it. */
export function startOf(k: MyTicket) {
  const reads = k.kind === 'Text' || k.kind === 'Recording';
  if (k.state === 'UnderWay') return reads ? t('Continue reading') : t('Continue');
  return reads ? t('Start reading') : t('Start');
}
