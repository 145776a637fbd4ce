export type Mark = 'heading' | 'bold' | 'italic' | 'page';

const around = { bold: '**', italic: '*' } as const;

/** A text with a mark put where the cursor or the selection is, and where the selection is then. A mark that is there
 * already is removed. */
export function marked(text: string, from: number, to: number, mark: Mark) {
  if (mark === 'page') {
    const before = text.slice(0, from).trimEnd();
    const put = `${before}${before ? '\n\n' : ''}---\n\n`;
    return { text: put + text.slice(to).trimStart(), from: put.length, to: put.length };
  }
  if (mark === 'heading') {
    const start = text.lastIndexOf('\n', from - 1) + 1;
    const had = /^#+ /.exec(text.slice(start))?.[0] ?? '';
    const sign = had ? '' : '# ';
    const by = sign.length - had.length;
    return {
      text: text.slice(0, start) + sign + text.slice(start + had.length),
      from: Math.max(start, from + by),
      to: Math.max(start, to + by),
    };
  }
  const sign = around[mark];
  const inside = text.slice(from, to);
  const has = text.slice(0, from).endsWith(sign) && text.slice(to).startsWith(sign);
  if (has)
    return {
      text: text.slice(0, from - sign.length) + inside + text.slice(to + sign.length),
      from: from - sign.length,
      to: to - sign.length,
    };
  return {
    text: text.slice(0, from) + sign + inside + sign + text.slice(to),
    from: from + sign.length,
    to: to + sign.length,
  };
}
