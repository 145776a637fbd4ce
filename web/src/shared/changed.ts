import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Subject } from './keys';

type Subjects = readonly Subject[];
const levels: Subjects = [
  'class',
  'signals',
  'reader',
  'reports',
  'fit',
  'goals',
  'library',
  'texts',
  'school-readers',
  'choosing',
];
const work: Subjects = [
  'class',
  'assignments',
  'assignment',
  'ticket',
  'feedback',
  'marking',
  'reports',
  'reader',
  'goals',
  'texts',
];
const members: Subjects = ['roster', 'lists', 'guardians', 'stays', 'find', 'draft', 'sign-in', 'goes-along'];
const school: Subjects = ['school-classes', 'staff', 'colleagues', 'years', 'windows', 'transfers', 'looks'];
const history: Subjects = ['changes'];

/** What a change touches; what is shown of it is asked for again. */
const touched = {
  /** Texts that were given, taken back, handed in or marked. */
  work: [...work, ...levels, ...history, 'text', 'stream', 'checks', 'check'],
  /** Who is in which class, and what is kept of them. */
  roster: [...members, ...school, ...levels, ...work, ...history, 'checks', 'check'],
  /** A level: what it rests on, or what a person says. */
  level: [...levels, ...history, 'marking', 'check', 'checks', 'windows'],
  checks: [...levels, ...history, 'checks', 'check', 'windows'],
  goals: ['goals', 'class', 'signals', 'reader', ...history],
  meetings: ['meetings'],
  /** What is said of a signal. */
  signals: ['signals', 'class'],
  /** What a group has and nobody has begun goes with it. */
  groups: ['groups', 'meetings', 'roster', ...work, ...history],
  lists: ['lists', 'class'],
  guardians: ['guardians', 'roster', 'mail'],
  /** Texts themselves: their words, their quizzes, their depths. */
  texts: [...work, 'text', 'library', 'library-facets', 'fit', 'choosing', 'wordLists', 'copies'],
  staff: ['staff', 'colleagues', 'roster', 'school-classes', 'mail', ...history],
  transfers: ['transfers', 'school-readers', ...history],
  /** What the pages of a class hear of while readers work. */
  live: [...work, 'signals', 'checks', 'check', 'windows'],
} satisfies Record<string, Subjects>;

export type Changed = keyof typeof touched;

const asksAgain = (what: Changed) => {
  const of = new Set<unknown>(touched[what]);
  return { predicate: (q: { queryKey: readonly unknown[] }) => of.has(q.queryKey[0]) };
};

export async function changed(client: QueryClient, what: Changed) {
  // What was asked for beforehand, by a page that is not there yet, would come with what was before and count as new.
  await client.cancelQueries({ ...asksAgain(what), type: 'inactive', fetchStatus: 'fetching' });
  await client.invalidateQueries(asksAgain(what));
}

/** Says what was changed: what is shown of it is asked for again. */
export function useChanged() {
  const client = useQueryClient();
  return (what: Changed) => changed(client, what);
}

/** After something that may have changed anything, such as taking a change back. */
export function useAllChanged() {
  const client = useQueryClient();
  return () => client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
}
