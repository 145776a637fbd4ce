import { useState } from 'react';

const made = () => crypto.randomUUID();

/** The id of what a page is about to make: the same request again, after an answer that did not arrive, makes nothing twice. */
export function useNewId() {
  const [id, set] = useState(made);
  return { id, renew: () => set(made()) };
}
