/** A result as it was pasted: a name where there was one, points, and the most where it was said. */
export interface PastedLine {
  name: string;
  points: number;
  of: number | null;
}

const number = /(-?\d+(?:[.,]\d+)?)/.source;
const result = new RegExp(`^${number}(?:\\s*(?:/|of|out of)\\s*(\\d+))?$`, 'i');
const value = (text: string) => Number(text.replace(',', '.'));

/** One line of a spreadsheet or a message: "Ana Cruz 7", "Ana Cruz;7/10", "7". Null where it holds no result. */
export function pastedLine(line: string): PastedLine | null {
  const cells = line
    .split(/[\t;]/)
    .map((c) => c.trim())
    .filter((c) => c !== '');
  // A name and its points with nothing but a blank or a comma between.
  const parts =
    cells.length === 1 ? (/^(.*?\p{L}.*?)[\s,:]+(-?\d.*)$/u.exec(cells[0] ?? '')?.slice(1) ?? cells) : cells;
  const found = result.exec(parts.at(-1) ?? '');
  if (!found) return null;
  return {
    name: parts.slice(0, -1).join(' ').trim(),
    points: value(found[1] ?? ''),
    of: found[2] ? Number(found[2]) : null,
  };
}

const folded = (name: string) =>
  name
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

export interface Named {
  id: string;
  /** All that the reader may be called: given name, both names, either way round. */
  names: readonly string[];
}

export interface Pasted {
  points: Map<string, number>;
  of: number | null;
  /** Lines whose name is nobody's, or two readers'. */
  unknown: string[];
}

/** Results for readers: by name, or where there are no names in the order of the list. */
export function pastedResults(text: string, readers: readonly Named[]): Pasted {
  const lines = text.split(/\r?\n/).map((l) => pastedLine(l.trim()));
  const found = lines.filter((l) => l !== null);
  const points = new Map<string, number>();
  const unknown: string[] = [];
  const named = found.some((l) => l.name !== '');
  for (const [i, line] of found.entries()) {
    const those = named
      ? readers.filter((r) => r.names.some((n) => folded(n) === folded(line.name)))
      : readers.slice(i, i + 1);
    const [one] = those;
    if (one && those.length === 1) points.set(one.id, line.points);
    else unknown.push(line.name || String(line.points));
  }
  return { points, of: found.find((l) => l.of !== null)?.of ?? null, unknown };
}
