import { describe, expect, it } from 'vitest';
import { marked, type Mark } from './marked';

/** The selection stands in brackets. */
const put = (written: string, mark: Mark) => {
  const from = written.indexOf('[');
  const to = written.indexOf(']') - 1;
  const done = marked(written.replace(/[[\]]/g, ''), from, to, mark);
  return `${done.text.slice(0, done.from)}[${done.text.slice(done.from, done.to)}]${done.text.slice(done.to)}`;
};

describe('marks in a text', () => {
  it.each<[Mark, string, string]>([
    ['bold', 'the [ferry] cat', 'the **[ferry]** cat'],
    ['bold', 'the **[ferry]** cat', 'the [ferry] cat'],
    ['italic', 'the [] cat', 'the *[]* cat'],
    ['heading', 'One\nTw[]o\nThree', 'One\n# Tw[]o\nThree'],
    ['heading', '# On[e]', 'On[e]'],
    ['heading', '## []One', '[]One'],
    ['page', 'One.\n\n[]Two.', 'One.\n\n---\n\n[]Two.'],
    ['page', '[]One.', '---\n\n[]One.'],
  ])('%s', (mark, before, after) => {
    expect(put(before, mark)).toBe(after);
  });
});
