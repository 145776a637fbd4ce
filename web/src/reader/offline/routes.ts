import { createFinalURL, createQuerySerializer, defaultPathSerializer } from 'openapi-fetch';
import type { Paths } from '../../shared/api';

/** Where each kind of work goes when it is sent. */
const routes = {
  answer: ['put', '/my/tickets/{ticketId}/answers/{answerId}'],
  reply: ['put', '/my/tickets/{ticketId}/reply'],
  strokes: ['put', '/my/tickets/{ticketId}/papers/{paperId}/strokes'],
  stage: ['put', '/my/checks/{sittingId}/stages/{stageId}'],
  spell: ['put', '/my/tickets/{ticketId}/spells/{spellId}'],
  feedback: ['put', '/my/tickets/{ticketId}/feedback/{spellId}'],
  'comment-reply': ['put', '/my/tickets/{ticketId}/comment-replies'],
  recording: ['put', '/my/tickets/{ticketId}/recording/{recordId}'],
  note: ['put', '/my/tickets/{ticketId}/notes/{noteId}'],
  'note-reply': ['put', '/my/notes/{noteId}/reply'],
  'kept-word': ['put', '/my/words/kept'],
  tried: ['put', '/my/words/tries'],
  rated: ['put', '/my/ratings/{textId}'],
  read: ['put', '/my/readings/{ownReadingId}'],
  open: ['post', '/my/tickets/{ticketId}/open'],
  'hand-in': ['post', '/my/tickets/{ticketId}/hand-in'],
} as const;

/** What a device keeps. */
export type Kind = keyof typeof routes;

type Operation<K extends Kind> = Paths[(typeof routes)[K][1]] extends infer Path
  ? Path[(typeof routes)[K][0] & keyof Path]
  : never;

/** What is named in its address. */
export type Params<K extends Kind> =
  Operation<K> extends { parameters: infer P } ? Pick<P, Extract<keyof P, 'path' | 'query'>> : never;

/** What it carries. */
export type Sent<K extends Kind> = Operation<K> extends { requestBody: { content: infer C } } ? C[keyof C] : undefined;

/** What the server says to it. */
export type Said<K extends Kind> =
  Operation<K> extends { responses: { 200: { content: { 'application/json': infer T } } } } ? T : null;

const querySerializer = createQuerySerializer();

export const methodOf = (kind: Kind) => (routes[kind][0] === 'put' ? 'PUT' : 'POST');

/** The address, as it is kept with the work. */
export const addressOf = <K extends Kind>(kind: K, params: Params<K>) =>
  createFinalURL(routes[kind][1], {
    baseUrl: '',
    params,
    querySerializer,
    pathSerializer: defaultPathSerializer,
  });
