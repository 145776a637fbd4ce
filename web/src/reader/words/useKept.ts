import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ok, type Api } from '../../shared/api';
import { keys } from '../../shared/keys';
import { getKept } from '../offline/kept';
import { keptTries, sendKeptWord, sendLetGo, sendTry, useOutbox, wordsWaiting } from '../offline/outbox';
import type { Work } from '../queries';

export type KeptWord = Api<'MyKeptWord'>;

type Kept = { text: string; meaning: string; example: string; atHome?: string | null };

/** A word as it is kept first. */
const fresh = ({ text, meaning, example, atHome = null }: Kept): KeptWord => ({
  text,
  meaning,
  example,
  atHome,
  title: null,
  steps: 0,
  known: false,
  due: true,
  dueOn: '',
});

/** The words a reader keeps, with what waits on the device; keeping one, letting one go, trying one. */
export function useKept() {
  const client = useQueryClient();
  useOutbox();
  const asked = useQuery({
    queryKey: keys.my.words,
    queryFn: () => getKept('/my/words', () => ok(api.GET('/my/words'))),
  });
  const waiting = wordsWaiting();
  const tried = keptTries();
  const words: KeptWord[] = [
    ...(asked.data?.words ?? [])
      .filter((w) => waiting.get(w.text)?.kept !== false)
      // Tried today and not yet sent: it is not due again.
      .map((w) => (tried.has(w.text) ? { ...w, due: false } : w)),
    ...[...waiting.values()].filter((w) => w.kept && !asked.data?.words.some((k) => k.text === w.text)).map(fresh),
  ];
  const changed = () => client.invalidateQueries({ queryKey: keys.my.words });
  // What was sent waits no more, and the server's list comes a moment later: between the two, the list is as it is
  // going to be, not as it was.
  const put = async (next: (words: KeptWord[]) => KeptWord[]) => {
    await client.cancelQueries({ queryKey: keys.my.words });
    client.setQueryData<NonNullable<typeof asked.data>>(
      keys.my.words,
      (all) => all && { ...all, words: next(all.words) },
    );
  };
  const keep = async (ticketId: string, word: Work['words'][number]) => {
    await put((all) => (all.some((w) => w.text === word.text) ? all : [...all, fresh(word)]));
    await sendKeptWord(ticketId, word).catch(() => undefined);
    await changed();
  };
  const letGo = async (text: string) => {
    await put((all) => all.filter((w) => w.text !== text));
    await sendLetGo(text).catch(() => undefined);
    await changed();
  };
  const attempt = (text: string, right: boolean) => sendTry(text, right).catch(() => undefined);
  return {
    words,
    atOnce: asked.data?.atOnce ?? 6,
    steps: asked.data?.steps ?? 6,
    asked,
    keep,
    letGo,
    attempt,
    changed,
  };
}
