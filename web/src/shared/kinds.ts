import { sure } from './sure';

/** What somebody picked in a list, as one of the set it was made from. */
export const oneOf = <T extends string>(all: readonly T[], said: string): T =>
  all.find((x) => x === said) ?? sure(all[0]);
