import type { Api } from '../../shared/api';

export type SpanKind = Api<'SpanKind'>;
export type Spans = Api<'SpansView'>;
export type Span = Api<'SpanView'>;

/** What the address says a report is of. */
export interface Asked {
  kind: SpanKind;
  /** The last day; none for today. */
  to?: string;
  /** The first, where the days are any. */
  from?: string;
  groupId?: string;
  fiction?: boolean;
}

const kinds: ReadonlySet<string> = new Set<SpanKind>(['Day', 'Week', 'Month', 'Term', 'Any']);
const isKind = (kind: string | null): kind is SpanKind => kind !== null && kinds.has(kind);
const day = /^\d{4}-\d{2}-\d{2}$/;
const texts: Record<string, boolean> = { stories: true, facts: false };

/** @param usual The kind of days where the address names none. */
export function askedOf(search: URLSearchParams, usual: SpanKind = 'Month'): Asked {
  const dayIn = (name: string) => {
    const value = search.get(name) ?? '';
    return day.test(value) ? value : undefined;
  };
  const kind = search.get('days');
  const from = dayIn('from');
  return {
    kind: isKind(kind) && (kind !== 'Any' || from !== undefined) ? kind : usual,
    to: dayIn('to'),
    from: kind === 'Any' ? from : undefined,
    groupId: search.get('group') ?? undefined,
    fiction: texts[search.get('texts') ?? ''],
  };
}

/** The address that asks so, with what else it says. */
export function addressOf(asked: Asked, rest: URLSearchParams = new URLSearchParams()): URLSearchParams {
  const of = new URLSearchParams(rest);
  for (const name of ['days', 'to', 'from', 'group', 'texts']) of.delete(name);
  of.set('days', asked.kind);
  if (asked.to) of.set('to', asked.to);
  if (asked.kind === 'Any' && asked.from) of.set('from', asked.from);
  if (asked.groupId) of.set('group', asked.groupId);
  if (asked.fiction !== undefined) of.set('texts', asked.fiction ? 'stories' : 'facts');
  return of;
}

/** Another span of the same kind. */
export const movedTo = (asked: Asked, span: Span): Asked => ({
  ...asked,
  to: span.to,
  from: asked.kind === 'Any' ? span.from : undefined,
});

/** What the server is asked. */
export const queryOf = (asked: Asked) => ({
  kind: asked.kind,
  to: asked.to,
  from: asked.from,
  groupId: asked.groupId,
  fiction: asked.fiction,
});
