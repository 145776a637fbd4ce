import { useSyncExternalStore } from 'react';
import { api, fromDevice, NoNetwork, ok, Problem, sendKept, type Api } from '../../shared/api';
import { addressOf, methodOf, type Kind, type Params, type Said, type Sent } from './routes';
import { deleteEntry, loadEntries, saveEntry, whose, type Entry } from './store';
import { sure } from '../../shared/sure';
import { say } from '../../shared/words';

// What a reader does is kept on the device first and sent after. Ids are made here, so sending twice changes nothing.
let waiting: Entry[] = [];
let away = false;
let state = { answers: 0, away: false, refused: [] as Entry[], unkept: 0 };
/** What the device holds, too, and not this page alone. */
const onDevice = new WeakSet<Entry>();
const listeners = new Set<() => void>();
/** Who waits for what the server says, by the entry that was sent and not by its id: a newer one may have the same. */
const asked = new Map<Entry, { resolve: (said: unknown) => void; reject: (e: unknown) => void }>();
const isAnswer = (k: Entry) => k.kind === 'answer' || k.kind === 'stage' || k.kind === 'reply';

function tell() {
  state = {
    answers: waiting.filter((k) => isAnswer(k) && !k.refused).length,
    away,
    refused: waiting.filter((k) => k.refused),
    unkept: waiting.filter((k) => !onDevice.has(k)).length,
  };
  listeners.forEach((l) => l());
}

export const useOutbox = () =>
  useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    () => state,
  );

const waitingFor = (about: string) => waiting.filter((k) => k.about === about && !k.refused);
export const answersWaiting = (about: string) => waitingFor(about).filter(isAnswer);
export const recordingWaits = (ticketId: string) => waitingFor(ticketId).some((k) => k.kind === 'recording');
/** The reader has handed it in, and the server does not know yet. */
export const handInWaits = (ticketId: string) => waitingFor(ticketId).some((k) => k.kind === 'hand-in');
/** What was written or practised for a task without a text, kept here and not yet sent. */
export const keptReply = (ticketId: string) =>
  waitingFor(ticketId).find((k) => k.kind === 'reply')?.body as Sent<'reply'> | undefined;
const strokesId = (ticketId: string, paperId: string) => `${ticketId}-${paperId}-strokes`;
/** What was drawn on a paper, kept here and not yet sent. */
export const keptStrokes = (ticketId: string, paperId: string) =>
  (waitingFor(ticketId).find((k) => k.id === strokesId(ticketId, paperId))?.body as Sent<'strokes'> | undefined)
    ?.strokes ?? [];
/** Sends what was drawn on a paper: all of it that waits, as one. */
export const sendStrokes = (ticketId: string, paperId: string, strokes: Sent<'strokes'>['strokes']) =>
  send({
    id: strokesId(ticketId, paperId),
    about: ticketId,
    kind: 'strokes',
    params: { path: { ticketId, paperId } },
    body: { strokes },
  });
const noteId = (id: string) => `${id}-note`;
/** Notes of a text that are kept here and not yet sent, by their ids. */
export const keptNotes = (ticketId: string) =>
  new Map(
    waitingFor(ticketId)
      .filter((k) => k.kind === 'note')
      .map((k) => {
        const body = k.body as { page: number; quote: string; words: string; removed: boolean; at: string };
        return [k.id.slice(0, -noteId('').length), body] as const;
      }),
  );
export const sendNote = (ticketId: string, id: string, body: Sent<'note'>) =>
  send({ id: noteId(id), about: ticketId, kind: 'note', params: { path: { ticketId, noteId: id } }, body });

const noteReplyId = (id: string) => `${id}-note-reply`;
/** What was said to teachers' answers here and is not yet sent, by note. */
export const keptNoteReplies = (ticketId: string) =>
  new Map(
    waitingFor(ticketId)
      .filter((k) => k.kind === 'note-reply')
      .map((k) => [k.id.slice(0, -noteReplyId('').length), (k.body as { words: string }).words] as const),
  );
export const sendNoteReply = (ticketId: string, id: string, words: string) =>
  send({
    id: noteReplyId(id),
    about: ticketId,
    kind: 'note-reply',
    params: { path: { noteId: id } },
    body: { words },
  });

/** What else is the reader's own and belongs to no text goes in its own lanes. */
const ownWords = 'own-words';
interface WordKept {
  text: string;
  meaning: string;
  example: string;
  kept: boolean;
}
/** Words that were kept or let go here, and of which the server does not know yet. */
export const wordsWaiting = () =>
  new Map(
    waiting
      .filter((k) => k.kind === 'kept-word' && !k.refused)
      .map((k) => {
        const body = k.body as WordKept;
        return [body.text, body] as const;
      }),
  );
const sendWord = (body: WordKept & { ticketId: string | null }) =>
  send({
    id: `${body.text}-kept`,
    about: ownWords,
    kind: 'kept-word',
    params: {},
    // What it means goes along for this device: the server knows it by the text.
    body: { ...body, at: new Date().toISOString() } as Sent<'kept-word'>,
  });
export const sendKeptWord = (ticketId: string, { text, meaning, example }: Omit<WordKept, 'kept'>) =>
  sendWord({ ticketId, text, meaning, example, kept: true });
export const sendLetGo = (text: string) => sendWord({ ticketId: null, text, meaning: '', example: '', kept: false });
/** Words that were tried here, and of which the server does not know yet. */
export const keptTries = () =>
  new Set(waiting.filter((k) => k.kind === 'tried' && !k.refused).map((k) => (k.body as { text: string }).text));
export const sendTry = (text: string, right: boolean) =>
  send({
    id: `${crypto.randomUUID()}-tried`,
    about: ownWords,
    kind: 'tried',
    params: {},
    body: { text, tries: [{ at: new Date().toISOString(), right }] },
  });
/** What was read elsewhere and is not yet sent. */
export const keptReadings = () =>
  new Map(waiting.filter((k) => k.kind === 'read' && !k.refused).map((k) => [k.id, k.body as Sent<'read'>] as const));
export const sendReading = (id: string, body: Sent<'read'>) =>
  send({ id, about: 'own-readings', kind: 'read', params: { path: { ownReadingId: id } }, body });

/** What the reader thinks of texts and is not yet sent, by text. */
export const keptRatings = () =>
  new Map(
    waiting
      .filter((k) => k.kind === 'rated' && !k.refused)
      .map((k) => [k.id.slice(0, -'-rated'.length), k.body as Sent<'rated'>] as const),
  );
export const sendRating = (textId: string, body: Sent<'rated'>) =>
  send({ id: `${textId}-rated`, about: 'ratings', kind: 'rated', params: { path: { textId } }, body });

/** Answers of a ticket that are kept here and not yet sent, by question; of several tries the last. */
export const keptAnswers = (ticketId: string) =>
  new Map(
    waitingFor(ticketId)
      .filter((k) => k.kind === 'answer')
      .map((k) => {
        const b = k.body as { questionId: string; picks: number[]; words: string };
        return [b.questionId, b] as const;
      }),
  );

const headers = () => fromDevice(whose());
const deliver = (k: Entry) => sendKept(k.method, k.path, k.body, headers());

async function putOnDevice(k: Entry) {
  if (await saveEntry(k)) onDevice.add(k);
}

async function forget(k: Entry) {
  // What is kept under its id may be a newer one that has not been sent.
  if (!waiting.some((x) => x !== k && x.id === k.id)) await deleteEntry(k);
  waiting = waiting.filter((x) => x !== k);
  tell();
}

async function change(k: Entry, next: Entry) {
  // A newer entry with the same id has taken its place meanwhile.
  if (!waiting.includes(k)) return;
  waiting = waiting.map((x) => (x === k ? next : x));
  await putOnDevice(next);
  tell();
}

/** A server that fails on one thing again and again, while it answers, will not take it. */
const mostTries = 6;
const passes = new Set([401, 408, 425, 429, 503]);

type Outcome = 'sent' | 'away' | 'later' | 'refused';

let underWay: Entry | null = null;

async function trySend(k: Entry): Promise<Outcome> {
  underWay = k;
  try {
    const said = await deliver(k);
    away = false;
    // What was said shows before what was sent is gone, or a question would stand unanswered for a moment, and a tap on
    // what follows it would be lost.
    asked.get(k)?.resolve(said);
    await forget(k);
    return 'sent';
  } catch (e) {
    const problem = e instanceof Problem ? e : null;
    if (!problem || passes.has(problem.status)) return outcomeOf(e);
    away = false;
    if (problem.status >= 500 && k.tries + 1 < mostTries) {
      await change(k, { ...k, tries: k.tries + 1 });
      return 'later';
    }
    await change(k, {
      ...k,
      refused: { id: crypto.randomUUID(), code: problem.code, sentence: problem.message, told: false },
    });
    asked.get(k)?.reject(e);
    return 'refused';
  } finally {
    underWay = null;
  }
}

const mostTogether = 50;

/** Answers to one text that wait behind one another and that nobody is looking at: they can travel together. */
function together(k: Entry): Entry[] {
  const lane = waiting.filter((x) => x.about === k.about && !x.refused);
  const end = lane.findIndex((x) => x.kind !== 'answer' || x.tries > 0 || asked.has(x));
  return lane.slice(0, end < 0 ? mostTogether : Math.min(end, mostTogether));
}

/** Sends several answers as one; what is not taken of them is set aside alone. */
async function trySendMany(these: Entry[]): Promise<Outcome> {
  const answers = these.map((k) => ({ id: k.id, answer: k.body as Sent<'answer'> }));
  try {
    const taken = await ok(
      api.POST('/my/tickets/{ticketId}/answers', {
        params: { path: { ticketId: sure(these[0]).about } },
        body: { answers },
        headers: headers(),
      }),
    );
    away = false;
    for (const [i, k] of these.entries()) {
      const { code, sentence } = sure(taken[i]);
      if (code === null) await forget(k);
      else await change(k, { ...k, refused: { id: crypto.randomUUID(), code, sentence: say(sentence), told: false } });
    }
    return 'sent';
  } catch (e) {
    if (e instanceof NoNetwork || (e instanceof Problem && (e.status === 401 || passes.has(e.status))))
      return outcomeOf(e);
    // Something is wrong with one of them: each goes alone.
    for (const k of these) await change(k, { ...k, tries: k.tries + 1 });
    return 'later';
  }
}

const outcomeOf = (e: unknown): Outcome => {
  if (e instanceof NoNetwork || (e instanceof Problem && e.status === 401)) return 'away';
  away = false;
  return 'later';
};

const setAsideKinds: Record<Kind, Api<'SetAsideKind'>> = {
  answer: 'Answer',
  reply: 'Answer',
  strokes: 'Answer',
  stage: 'Answer',
  spell: 'Reading',
  feedback: 'Reading',
  'comment-reply': 'Reading',
  open: 'Reading',
  note: 'Reading',
  'note-reply': 'Reading',
  'kept-word': 'Reading',
  tried: 'Reading',
  read: 'Reading',
  rated: 'Reading',
  recording: 'Recording',
  'hand-in': 'HandIn',
};
/** How many answers it holds. */
export const answersIn = (k: Entry) =>
  k.kind === 'answer' || k.kind === 'reply' || k.kind === 'strokes'
    ? 1
    : k.kind === 'stage'
      ? (k.body as { answers: unknown[] }).answers.length
      : 0;

/** Tells the server what it refused, so that the teacher knows of it. */
async function tellRefused(k: Entry) {
  const body = {
    about: k.about,
    kind: setAsideKinds[k.kind],
    answers: answersIn(k),
    code: sure(k.refused).code,
    body: k.body instanceof Blob ? {} : (k.body ?? {}),
    at: new Date(k.at).toISOString(),
  };
  try {
    await ok(
      api.PUT('/my/set-aside/{asideId}', {
        params: { path: { asideId: sure(k.refused).id } },
        body,
        headers: headers(),
      }),
    );
  } catch (e) {
    if (!(e instanceof Problem) || passes.has(e.status) || e.status >= 500) return;
  }
  await change(k, { ...k, refused: { ...sure(k.refused), told: true } });
}

let pumping = false,
  again = false;
const answer = (k: Entry, said: null) => {
  asked.get(k)?.resolve(said);
};

/** Sends what is kept, oldest first. What belongs to one ticket goes in order; what fails holds up nothing else. */
async function pump() {
  if (pumping) {
    again = true;
    return;
  }
  pumping = true;
  do {
    again = false;
    const stuck = new Set<string>();
    for (const k of [...waiting]) {
      if (k.refused || !waiting.includes(k)) continue;
      if (stuck.has(k.about) || (away && stuck.size > 0)) {
        answer(k, null);
        continue;
      }
      const these = together(k);
      const outcome = these.length > 1 ? await trySendMany(these) : await trySend(k);
      if (outcome === 'sent' || outcome === 'refused') continue;
      stuck.add(k.about);
      away = outcome === 'away';
      answer(k, null);
    }
    tell();
    if (!away) for (const k of waiting.filter((x) => x.refused && !x.refused.told)) await tellRefused(k);
  } while (again);
  pumping = false;
}

/** Keeps something, tries to send it at once, and gives back what the server said; null while it cannot be sent. */
export async function send<K extends Kind>(
  k: Pick<Entry, 'id' | 'about'> & { kind: K; params: Params<K>; body: Sent<K> },
): Promise<Said<K> | null> {
  const { params, ...kept } = k;
  const entry: Entry = {
    ...kept,
    method: methodOf(k.kind),
    path: addressOf(k.kind, params),
    readerId: whose(),
    at: Date.now(),
    tries: 0,
  };
  const said = new Promise<Said<K> | null>((resolve, reject) =>
    asked.set(entry, { resolve: resolve as (s: unknown) => void, reject }),
  );
  // One that has not set out yet never will; one that is on its way brings its own answer.
  for (const old of waiting) if (old.id === entry.id && old !== underWay) asked.get(old)?.resolve(null);
  waiting = [...waiting.filter((x) => x.id !== entry.id), entry];
  await putOnDevice(entry);
  tell();
  void pump();
  try {
    return await said;
  } finally {
    asked.delete(entry);
  }
}

/** The server hears, now or later, that a task was opened. */
export const sendOpened = (ticketId: string) =>
  send({
    id: `${ticketId}-open`,
    about: ticketId,
    kind: 'open',
    params: { path: { ticketId }, query: { at: new Date().toISOString() } },
    body: undefined,
  }).catch(() => undefined);

/** Its reader has seen that something could not be taken. */
export const dismissRefused = async () => {
  for (const k of state.refused) await forget(k);
};

const every = 4000;
/** Sends what waits of the reader whose page this is, now and whenever the network is back. */
export function startOutbox(onSent: () => void) {
  let stopped = false;
  const tryNow = async () => {
    for (const k of waiting) if (!onDevice.has(k)) await putOnDevice(k);
    const before = waiting.filter((k) => !k.refused).length;
    if (before === 0 && !state.refused.some((k) => !sure(k.refused).told)) return;
    await pump();
    if (!stopped && waiting.filter((k) => !k.refused).length < before) onSent();
  };
  void loadEntries().then((found) => {
    if (stopped) return;
    for (const k of found) onDevice.add(k);
    const here = new Set(waiting.map((k) => k.id));
    waiting = [...found.filter((k) => !here.has(k.id)), ...waiting].sort((a, b) => a.at - b.at);
    tell();
    void tryNow();
  });
  const timer = setInterval(() => void tryNow(), every);
  // What only this page holds would go with it.
  const hold = (e: BeforeUnloadEvent) => {
    if (state.unkept > 0) e.preventDefault();
  };
  addEventListener('online', tryNow);
  addEventListener('beforeunload', hold);
  return () => {
    stopped = true;
    waiting = [];
    away = false;
    tell();
    clearInterval(timer);
    removeEventListener('online', tryNow);
    removeEventListener('beforeunload', hold);
  };
}
