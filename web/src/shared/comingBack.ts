const returning = 'dc-return',
  lastCode = 'dc-code';
/** Remembers the class code a reader signed in with. */
export const rememberCode = (code: string) => localStorage.setItem(lastCode, code);

/** Keeps where a reader is, whose session has ended. */
export const keepReturn = (readerId: string | null) =>
  sessionStorage.setItem(returning, JSON.stringify({ id: readerId, path: location.pathname }));

/** Keeps what a link leads to, for whoever signs in. */
export const keepLink = (path: string) => sessionStorage.setItem(returning, JSON.stringify({ id: null, path }));

/** Where a reader was when their session ended, or where a link leads; asked for once, by the same reader. */
export function takeReturn(readerId: string): string | null {
  const kept = JSON.parse(sessionStorage.getItem(returning) ?? 'null') as { id: string | null; path: string } | null;
  sessionStorage.removeItem(returning);
  return kept && (kept.id === null || kept.id === readerId) ? kept.path : null;
}

/** The door a reader comes back through whose session ended on this device; null where none did. */
export function doorBack(): string | null {
  if (!sessionStorage.getItem(returning)) return null;
  const code = localStorage.getItem(lastCode);
  return code ? `/read/${encodeURIComponent(code)}` : '/read';
}
