import { QueryClient } from '@tanstack/react-query';
import { expect, test } from 'vitest';
import { changed, type Changed } from './changed';
import { keys } from './keys';

/** What is asked for again of all that is shown. */
async function askedAgain(what: Changed, shown: readonly (readonly unknown[])[]) {
  const client = new QueryClient();
  for (const key of shown) client.setQueryData(key, {});
  await changed(client, what);
  return shown.filter((key) => client.getQueryState(key)?.isInvalidated);
}

test('a mark that moves a level is seen wherever the level is, and the staff is left alone', async () => {
  const levels = [keys.class('c'), keys.reader.evidence('r'), keys.fit('c', ['r'], []), keys.school.readers];
  expect(await askedAgain('work', [...levels, keys.school.staff, keys.session])).toEqual(levels);
});

test('who is in a class is seen on the staff’s page, on the years’ and in what readers may choose', async () => {
  const seen = [keys.roster('c'), keys.school.staff, keys.school.years, keys.choosing('c'), keys.assignments('c', {})];
  expect(await askedAgain('roster', [...seen, keys.session, keys.school.mail])).toEqual(seen);
});

test('a text that was changed is asked for again on shelves and where it was given', async () => {
  const seen = [keys.text.quiz('t'), keys.library.facets, keys.assignment('a'), keys.ticket('k')];
  expect(await askedAgain('texts', [...seen, keys.goals('c', null), keys.school.chart])).toEqual([
    ...seen,
    keys.goals('c', null),
  ]);
});

/** What it would say now. */
const server = { now: '' };

test('what was asked for before a change is not taken for what is after it', async () => {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: 60_000 } } });
  server.now = 'before';
  let answer: () => void = () => undefined;
  const slow = {
    queryKey: keys.places('c', '2026-11-23', '2026-11-29'),
    queryFn: () => {
      const seen = server.now;
      return new Promise<string>((done) => (answer = () => done(seen)));
    },
  };
  const ahead = client.prefetchQuery(slow);
  server.now = 'after';
  await changed(client, 'live');
  answer();
  await ahead;
  const opened = client.fetchQuery(slow);
  answer();
  expect(await opened).toBe('after');
});
