// The same order as the database's collation "names" and the core's NameOrder: tests/vectors/names.json.
const names = new Intl.Collator('und', { numeric: true });

/** Names as people look them up: accents count for little, numbers by what they count. */
export const byName = (a: string, b: string) => names.compare(a, b);

/** Two cells of one column: numbers by size, words by name. */
export const compare = (a: string | number, b: string | number) =>
  typeof a === 'number' && typeof b === 'number' ? a - b : byName(String(a), String(b));
