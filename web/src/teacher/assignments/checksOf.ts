import { addDays } from '../../shared/days';
import { useChecks, type CheckRow } from '../checks/checkQueries';

/** The first and last day of a level check; without a last one it goes on. */
export const daysOfCheck = (k: CheckRow) => ({
  first: k.opensOn ?? k.madeAt.slice(0, 10),
  last: k.closedAt?.slice(0, 10) ?? k.closesOn ?? null,
});

/** A class's level checks that lie on some days. */
export function useChecksOn(classId: string, first: string, last: string): CheckRow[] {
  return (useChecks(classId).data ?? []).filter((k) => {
    const of = daysOfCheck(k);
    return of.first <= last && (of.last ?? last) >= first;
  });
}

export const weekOf = (monday: string) => ({ first: monday, last: addDays(monday, 6) });
