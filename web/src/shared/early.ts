/** What early.ts did in the browser while the pages' script was on its way; each serves once. */
interface Early {
  /** The answer to who is signed in. */
  dcSession?: Promise<Response>;
  /** What was typed at the door, and whether it was sent. */
  dcTyped?: { code: string; sent?: boolean };
}

const early = () => (typeof window === 'undefined' ? {} : (window as Early));

export function takeSession(url: string, method: string | undefined): Promise<Response> | undefined {
  if (!url.endsWith('/api/session') || (method ?? 'GET') !== 'GET') return undefined;
  const asked = early();
  const response = asked.dcSession;
  delete asked.dcSession;
  return response;
}

export function typedEarly(): { code: string; sent: boolean } {
  const typed = early().dcTyped;
  return { code: typed?.code.toUpperCase() ?? '', sent: typed?.sent ?? false };
}
export const forgetTyped = () => delete early().dcTyped;
