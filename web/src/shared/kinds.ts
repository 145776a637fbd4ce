import { sure } from './sure';

/** A question that a person marks. */
export const isWritten = (kind: string) => kind === 'Short' || kind === 'Long';

/** What somebody picked in a list, as one of the set it was made from. */
export const oneOf = <T extends string>(all: readonly T[], said: string): T =>
  all.find((x) => x === said) ?? sure(all[0]);
