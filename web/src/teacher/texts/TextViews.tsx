import { cx } from 'class-variance-authority';
import { fm } from '../../shared/format';
import { Block, plain } from '../../shared/paragraphs';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { Show } from '../../ui/Show';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';
import type { Version } from './TextPage';
import { bodyOf, wordsOf } from './textForm';
import { Remarks, useMeasured, WhyLists, WhyText } from './Why';

const bodyLook = 'max-w-180 px-10 pt-5 pb-8 [&_h3]:mt-4 [&_h3]:text-[17px] [&_p+p]:mt-[0.7em]';

/** The letters a version is read in, in every view of it. */
const faceOf = (v: Version) =>
  v.depth < 30 ? 'font-first text-lg leading-7.25' : 'font-serif text-[17px] leading-7.25';

/** A version as it is read, page by page. */
export function AsRead({ version, picture }: { version: Version; picture: { src: string; shows: string } | null }) {
  return (
    <article className={cx(bodyLook, faceOf(version))} aria-label={t('The text')}>
      {picture && <img src={picture.src} alt={picture.shows} className="mb-4 hidden max-w-90 print:block" />}
      {version.pages.map((page, i) => (
        <section key={i}>
          {i > 0 && (
            <p className="border-soft font-ui text-soft my-4.5 border-t border-dashed text-sm" aria-hidden>
              {t('page {{n}}', { n: i + 1 })}
            </p>
          )}
          {page.map((p, k) => (
            <Block key={k} text={p} />
          ))}
        </section>
      ))}
    </article>
  );
}

/** The version with its reasons marked, and the same in lists. */
export function Reasons({ v }: { v: Version }) {
  const measured = useMeasured(bodyOf(v.pages));
  return (
    <Show query={measured}>
      {(m) => (
        <article className={cx(bodyLook, faceOf(v))} aria-label={t('What makes it hard')}>
          <p className="text-soft text-sm">
            {t('Darker sentences add more depth; underlined words are not familiar. Point at one to see how much.')}
          </p>
          <Remarks m={m} />
          <WhyText m={m} />
          <WhyLists m={m} />
        </article>
      )}
    </Show>
  );
}

/** All versions beside one another, paragraph by paragraph; words that no other version has are marked. */
export function SideBySide({ versions }: { versions: Version[] }) {
  const flat = versions.map((v) => v.pages.flat());
  const words = flat.map((paragraphs) => wordsOf(paragraphs.join(' ')));
  const only = (k: number, word: string) => !words.some((set, other) => other !== k && set.has(word));
  return (
    <div
      className={cx(
        'border-ink [&_u]:decoration-overlay relative min-h-0 overflow-auto border-t [&_td]:w-1/2',
        '[&_td]:px-4 [&_td]:py-2 [&_td]:align-top',
        '[&_td]:whitespace-normal [&>p]:px-4 [&>p]:py-2',
      )}
      tabIndex={0}
      role="region"
      aria-label={t('Versions side by side')}
    >
      <Table>
        <TableHead>
          <tr>
            {versions.map((v) => (
              <Th key={v.id}>
                <span>
                  {fm(v.depth)} fm, {t('{{count}} words', { count: v.measure.words })}
                </span>
              </Th>
            ))}
          </tr>
        </TableHead>
        <TableBody>
          {Array.from({ length: Math.max(...flat.map((f) => f.length)) }, (_, i) => (
            <tr key={i}>
              {flat.map((f, k) => (
                <Td key={k} className={faceOf(sure(versions[k]))}>
                  {plain(f[i] ?? '')
                    .split(/([\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*)/u)
                    .map((part, n) => (n % 2 === 1 && only(k, part.toLowerCase()) ? <u key={n}>{part}</u> : part))}
                </Td>
              ))}
            </tr>
          ))}
        </TableBody>
      </Table>
      <p className="text-soft text-sm">{t('Underlined words are only in this version.')}</p>
    </div>
  );
}
