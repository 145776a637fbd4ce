import type { MyTicket } from '../queries';
import { late } from './ticketWords';

/** What presses most: late and due today, then what is under way, then the rest. */
function pressing(k: MyTicket, today: string) {
  if (late(k, today) || k.dueOn === today) return 0;
  return k.state === 'UnderWay' || k.state === 'SentBack' ? 1 : 2;
}

/** Required work in the order it is asked for; what a reader chose comes after, what is only recommended last. */
const wanted = (k: MyTicket) => (k.need === 'Recommended' ? 2 : Number(k.chosen));

/**
 * A reader's open work in the order it should be done. Later work follows the teacher's headings, in the order of the
 * first due day beneath each, and within one the due days.
 */
export function inOrder(tickets: readonly MyTicket[], today: string): MyTicket[] {
  const never = '9999';
  const day = (k: MyTicket) => k.dueOn ?? never;
  const first = new Map<string, string>();
  for (const k of tickets) {
    const before = first.get(k.heading);
    if (before === undefined || day(k) < before) first.set(k.heading, day(k));
  }
  const key = (k: MyTicket) => {
    const rank = pressing(k, today);
    return [rank, wanted(k), rank === 2 ? (first.get(k.heading) ?? never) : '', rank === 2 ? k.heading : '', day(k)];
  };
  return tickets
    .map((k, i) => ({ k, by: [...key(k), i] }))
    .sort((one, other) => {
      const at = one.by.findIndex((x, i) => x !== other.by[i]);
      if (at < 0) return 0;
      return (one.by[at] ?? '') < (other.by[at] ?? '') ? -1 : 1;
    })
    .map(({ k }) => k);
}
