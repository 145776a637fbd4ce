import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ok, type Api } from '../../shared/api';
import { keys } from '../../shared/keys';
import { getKept } from '../offline/kept';
import { keptNoteReplies, keptNotes, sendNote, sendNoteReply, useOutbox } from '../offline/outbox';

export type Note = Api<'Note'>;

const notesOf = (ticketId: string) => ({
  queryKey: keys.my.notes(ticketId),
  queryFn: () =>
    getKept(`/my/tickets/${ticketId}/notes`, () =>
      ok(api.GET('/my/tickets/{ticketId}/notes', { params: { path: { ticketId } } })),
    ),
});

/** What a reader marked and wrote in a text, with what waits on the device; marking, writing, removing. */
export function useNotes(ticketId: string) {
  const client = useQueryClient();
  const said = useQuery(notesOf(ticketId)).data ?? [];
  useOutbox();
  const waiting = keptNotes(ticketId);
  const replies = keptNoteReplies(ticketId);
  const notes = [
    ...said.map((n) => {
      const newer = waiting.get(n.id);
      return newer
        ? { ...n, words: n.answer ? n.words : newer.words, removed: newer.removed }
        : { ...n, removed: false };
    }),
    ...[...waiting]
      .filter(([id]) => !said.some((n) => n.id === id))
      .map(([id, n]) => ({
        ...n,
        id,
        ticketId,
        title: '',
        answer: '',
        answeredBy: null,
        answeredAt: null,
        answerSeenAt: null,
        reply: '',
      })),
  ]
    .filter((n) => !n.removed)
    .map((n) => ({ ...n, reply: replies.get(n.id) ?? n.reply }));
  const put = async (note: { id: string; page: number; quote: string; words: string }, removed = false) => {
    const kept = await sendNote(ticketId, note.id, {
      page: note.page,
      quote: note.quote,
      words: note.words,
      removed,
      at: new Date().toISOString(),
    }).catch(() => null);
    if (kept) client.setQueryData(keys.my.notes(ticketId), kept);
  };
  const reply = async (noteId: string, words: string) => {
    const kept = await sendNoteReply(ticketId, noteId, words).catch(() => null);
    if (kept) client.setQueryData(keys.my.notes(ticketId), kept);
  };
  return { notes, put, reply };
}
