import { Fragment, type ReactNode } from 'react';
import { sure } from './sure';

/** What a picture shows and where it is; null for any other paragraph. */
export const pictureOf = (paragraph: string) => {
  const m = /^!\[([^\]]*)\]\(([^()\s]+)\)$/.exec(paragraph);
  return m ? { alt: sure(m[1]), name: sure(m[2]) } : null;
};
export const isHeading = (paragraph: string) => paragraph.startsWith('#');
/** Words that are read: no heading, no picture. */
export const isProse = (paragraph: string) => !isHeading(paragraph) && !pictureOf(paragraph);
const headingOf = (paragraph: string) => paragraph.replace(/^#+\s*/, '');

/** The rows of a table: every line of it has cells with bars between. Null for any other paragraph. */
export function tableOf(paragraph: string): string[][] | null {
  const lines = paragraph.split('\n');
  if (!isProse(paragraph) || !lines.every((l) => l.includes('|'))) return null;
  return lines
    .filter((l) => !/^[\s|:-]+$/.test(l))
    .map((l) =>
      l
        .trim()
        .replace(/^\||\|$/g, '')
        .split('|')
        .map((c) => c.trim()),
    );
}

interface Run {
  text: string;
  bold: boolean;
  slanted: boolean;
}
/** Words of one look after one another, without their marks. */
export const runsOf = (text: string): Run[] =>
  text
    .split(/(\*\*[^*]+\*\*|\*[^*]+\*)/)
    .filter((part) => part !== '')
    .map((part) => {
      const bold = part.startsWith('**') && part.length > 4,
        slanted = !bold && /^\*[^*]+\*$/.test(part);
      const mark = Number(slanted) + 2 * Number(bold);
      return { text: part.slice(mark, part.length - mark), bold, slanted };
    });
const bare = (text: string) =>
  runsOf(text)
    .map((r) => r.text)
    .join('');

/** A paragraph as it is said: without marks, the cells of a row with commas between. */
export function plain(paragraph: string): string {
  const picture = pictureOf(paragraph),
    table = tableOf(paragraph);
  if (picture) return picture.alt;
  return table ? table.map((row) => row.map(bare).join(', ')).join('\n') : bare(headingOf(paragraph));
}

/** A page as it is read aloud. */
export const aloudOf = (page: readonly string[]) => page.map(plain).join(' ');

const oneLine = (text: string) => text.split(/\s+/).join(' ').trim();
/** Whether words stand in a text, however its lines are broken. */
export const holds = (text: string, words: string) => oneLine(text).includes(oneLine(words));

/** A text's picture, with what it shows for those who do not see it. */
export function TextPicture({ of }: { of: { alt: string; name: string } }) {
  return (
    <img className="mx-auto my-3 block max-h-105 max-w-full rounded-sm" src={`/api/pictures/${of.name}`} alt={of.alt} />
  );
}

/** Shows words; told where they stand in what `plain` says. */
type Words = (said: string, at: number) => ReactNode;
const asTheyAre: Words = (said) => said;

function Runs({ text, words, at }: { text: string; words: Words; at: number }) {
  let here = at;
  return runsOf(text).map((run, i) => {
    const shown = words(run.text, here);
    here += run.text.length;
    if (run.bold) return <b key={i}>{shown}</b>;
    return run.slanted ? <i key={i}>{shown}</i> : <Fragment key={i}>{shown}</Fragment>;
  });
}

/** Where each cell begins in the text as it is read: after a cell comes a comma and a space, after the last the end of the
 * line. */
function cellStarts(rows: string[][]): number[][] {
  let at = 0;
  const starts: number[][] = [];
  for (const row of rows) {
    const line: number[] = [];
    for (const [i, cell] of row.entries()) {
      line.push(at);
      at += bare(cell).length + (i < row.length - 1 ? 2 : 1);
    }
    starts.push(line);
  }
  return starts;
}

function Table({ rows, words }: { rows: string[][]; words: Words }) {
  // A first row without figures above rows with figures names the columns.
  const head =
    rows.length > 1 && !/\d/.test(sure(rows[0]).join('')) && rows.slice(1).some((r) => /\d/.test(r.join('')));
  const starts = cellStarts(rows);
  const shown = rows.map((row, r) =>
    row.map((cell, i) => <Runs key={i} text={cell} words={words} at={sure(starts[r]?.[i])} />),
  );
  return (
    <div className="my-3 overflow-x-auto" tabIndex={0} role="region" aria-label={sure(rows[0]).map(bare).join(', ')}>
      <table>
        {head && (
          <thead>
            <tr>
              {sure(shown[0]).map((c, i) => (
                <th key={i} scope="col">
                  {c}
                </th>
              ))}
            </tr>
          </thead>
        )}
        <tbody>
          {shown.slice(head ? 1 : 0).map((row, i) => (
            <tr key={i}>
              {row.map((c, k) =>
                k === 0 ? (
                  <th key={k} scope="row">
                    {c}
                  </th>
                ) : (
                  <td key={k}>{c}</td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A paragraph as its writer wrote it: a picture, a heading, a table, verse line by line, or prose; bold and slanted words are so. */
export function Block({
  text,
  heading: Heading = 'h3',
  words = asTheyAre,
}: {
  text: string;
  heading?: 'h2' | 'h3';
  words?: Words;
}) {
  const picture = pictureOf(text),
    table = tableOf(text);
  if (picture) return <TextPicture of={picture} />;
  if (isHeading(text))
    return (
      <Heading>
        <Runs text={headingOf(text)} words={words} at={0} />
      </Heading>
    );
  if (table) return <Table rows={table} words={words} />;
  return (
    <p className={/^ |\n/.test(text) ? 'whitespace-pre-wrap' : undefined}>
      <Runs text={text} words={words} at={0} />
    </p>
  );
}
