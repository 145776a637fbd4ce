import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, fm, halfRange } from '../../shared/format';
import { keys } from '../../shared/keys';
import { Block, plain } from '../../shared/paragraphs';
import { say, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { QuestionKey, Tags } from './quiz/QuestionKey';
import { MazeDraft } from './MazeDraft';
import { TextActions } from './TextActions';
import { TextHistory } from './TextHistory';
import { TextUse } from './TextUse';
import { bodyOf, wordsOf } from './textForm';
import { Remarks, useMeasured, WhyLists, WhyText } from './Why';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { PageHead } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Show } from '../../ui/Show';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

export type TextData = Api<'TextView'>;
export type Version = TextData['versions'][number];

type Shown = 'text' | 'why' | 'versions' | 'maze' | 'use' | 'history';

/** One text: how deep and how that was measured, the text itself, its quiz and its words. */
const bodyLook = 'max-w-180 px-10 pt-5 pb-8 [&_h3]:mt-4 [&_h3]:text-[17px] [&_p+p]:mt-[0.7em]';

export default function TextPage() {
  const { data } = useOutletContext<Place>();
  const { textId = '' } = useParams();
  const tray = useTray();
  const text = useQuery({
    queryKey: keys.text.one(textId),
    queryFn: () => ok(api.GET('/texts/{textId}', { params: { path: { textId } } })),
  });
  const [at, setAt] = useState(0);
  const [shows, setShows] = useState<Shown>('text');
  return (
    <Show query={text}>
      {(x) => {
        const version = sure(x.versions[Math.min(at, x.versions.length - 1)]);
        const views: [Shown, string][] = [
          ['text', t('The text')],
          ['why', t('What makes it hard')],
          ...(x.versions.length > 1 ? [['versions', t('Versions side by side')] as [Shown, string]] : []),
          ['maze', t('Maze passage')],
          ['use', t('Use')],
          ['history', t('History')],
        ];
        return (
          <div className="min-h-0 overflow-auto pb-6 print:block print:h-auto print:overflow-visible">
            <PageHead
              title={x.title}
              beside={
                <p className="text-soft">
                  {x.kind}, {x.fiction ? t('fiction') : t('non-fiction')} · {x.topic}
                  {!x.ships &&
                    ` · ${x.mine ? t('visible only to its author') : t('by {{name}}', { name: x.owner ?? t('a former colleague') })}`}
                  {x.retired && ` · ${t('archived')}`}
                </p>
              }
            >
              <TextActions x={x} version={version} classId={data.id} />
              <Button look="main" onClick={() => tray.toggleText(x.id)}>
                {tray.texts.includes(x.id) ? t('Remove from tray') : t('Add to tray')}
              </Button>
            </PageHead>
            <div className="flex min-h-10 flex-wrap items-center gap-2.5 px-4 pb-1.5 print:hidden">
              <Segments
                label={t('View')}
                value={shows}
                set={setShows}
                options={views.map(([value, label]) => ({ value, label }))}
              />
              {x.versions.length > 1 && (shows === 'text' || shows === 'why' || shows === 'maze') && (
                <span className="inline-flex items-center gap-1.5">
                  {t('Version')}
                  <Segments
                    label={t('Version')}
                    value={version.id}
                    set={(id) => setAt(x.versions.findIndex((v) => v.id === id))}
                    options={x.versions.map((v) => ({ value: v.id, label: `${fm(v.depth)} fm` }))}
                  />
                </span>
              )}
            </div>
            {shows === 'versions' ? (
              <SideBySide versions={x.versions} />
            ) : shows === 'history' ? (
              <TextHistory x={x} />
            ) : shows === 'maze' ? (
              <MazeDraft key={version.id} textId={x.id} versionId={version.id} />
            ) : shows === 'use' ? (
              <TextUse textId={x.id} classId={data.id} questions={x.questions} />
            ) : (
              <div className="border-ink grid border-t max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_minmax(0,480px)]">
                {shows === 'why' ? (
                  <Reasons v={version} />
                ) : (
                  <article
                    className={cx(
                      bodyLook,
                      version.depth < 30 ? 'font-first text-lg leading-7.25' : 'font-serif text-[17px] leading-7.25',
                    )}
                    aria-label={t('The text')}
                  >
                    {version.pages.map((page, i) => (
                      <section key={i}>
                        {i > 0 && (
                          <p
                            className="border-soft font-ui text-soft my-4.5 border-t border-dashed text-sm"
                            aria-hidden
                          >
                            {t('page {{n}}', { n: i + 1 })}
                          </p>
                        )}
                        {page.map((p, k) => (
                          <Block key={k} text={p} />
                        ))}
                      </section>
                    ))}
                  </article>
                )}
                <div
                  className={cx(
                    'border-line [&>section]:border-line lg:border-l [&>section]:grid [&>section]:gap-1.5',
                    '[&>section]:border-b [&>section]:px-4.5 [&>section]:py-3.5',
                  )}
                >
                  <MeasuredSide v={version} />
                  <section aria-labelledby="quiz">
                    <h2 id="quiz">
                      {t('Quiz')}{' '}
                      <span className="font-ui text-soft text-sm font-normal">
                        {t('{{count}} questions', { count: x.questions.filter((q) => !q.after).length })}
                      </span>
                    </h2>
                    {x.questions.length === 0 && (
                      <p className="text-soft">{t('No questions yet. Add a quiz to assign this text.')}</p>
                    )}
                    <ol
                      className={cx(
                        '[&>li]:border-line [&_summary]:cursor-pointer [&_summary]:leading-6 [&_ul]:grid [&_ul]:gap-1',
                        '[&_ul]:pt-1.5 [&_ul]:pb-1 [&_ul]:pl-3.5 [&>li]:border-t [&>li]:py-1',
                      )}
                    >
                      {x.questions.map((q) => (
                        <li key={q.id}>
                          <details>
                            <summary>
                              <Tags q={q} /> {q.stem}
                            </summary>
                            <QuestionKey q={q} version={version.label} reasons />
                          </details>
                        </li>
                      ))}
                    </ol>
                    {x.mayChange && (
                      <p>
                        <Button asChild size="sm">
                          <Link to={`/class/${data.id}/texts/${x.id}/quiz`}>
                            {x.questions.length === 0 ? t('Create quiz') : t('Edit quiz')}
                          </Link>
                        </Button>
                      </p>
                    )}
                  </section>
                  {x.words.length > 0 && (
                    <section aria-labelledby="wordsto">
                      <h2 id="wordsto">{t('Words to know')}</h2>
                      <dl className="[&_i]:text-soft grid gap-1 [&_dt]:font-semibold [&_i]:text-sm [&_i]:font-normal">
                        {x.words.map((w) => (
                          <div key={w.text}>
                            <dt>
                              {w.text} <i>{w.part}</i>
                            </dt>
                            <dd>{w.meaning}</dd>
                          </div>
                        ))}
                      </dl>
                    </section>
                  )}
                </div>
              </div>
            )}
          </div>
        );
      }}
    </Show>
  );
}

/** The version with its reasons marked, and the same in lists. */
function Reasons({ v }: { v: Version }) {
  const measured = useMeasured(bodyOf(v.pages));
  return (
    <Show query={measured}>
      {(m) => (
        <article className={cx(bodyLook, 'font-serif text-[17px] leading-7.25')} aria-label={t('What makes it hard')}>
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
function SideBySide({ versions }: { versions: Version[] }) {
  const flat = versions.map((v) => v.pages.flat());
  const words = flat.map((paragraphs) => wordsOf(paragraphs.join(' ')));
  const only = (k: number, word: string) => !words.some((set, other) => other !== k && set.has(word));
  return (
    <div
      className={cx(
        'border-ink [&_u]:decoration-overlay relative min-h-0 overflow-auto border-t [&_td]:w-1/2',
        '[&_td]:px-4 [&_td]:py-2 [&_td]:align-top [&_td]:font-serif [&_td]:text-lg',
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
                <Td key={k}>
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

function MeasuredSide({ v }: { v: Version }) {
  const m = v.measure;
  const used = m.formulas.filter((f) => f.weight > 0);
  const x = (grade: number) => 4 + (Math.max(-1, Math.min(12, grade)) + 1) * 13;
  return (
    <section aria-labelledby="how">
      <h2 id="how">
        {t('Depth {{depth}} fm', { depth: fm(v.depth) })}{' '}
        <span className="font-ui text-soft text-sm font-normal">
          ± {halfRange(v.depthError).toFixed(1)}, {t('typical of {{level}}', { level: say(v.levelName) })}
        </span>
      </h2>
      {v.stated && (
        <p className="text-sm">
          <b>
            {t('Overruled by {{name}}, {{day}}:', {
              name: v.stated.by ?? t('a former colleague'),
              day: dayOf(v.stated.at),
            })}
          </b>{' '}
          “{v.stated.reason}”{' '}
          {t('Calculated depth: {{depth}} ± {{error}} fm.', {
            depth: fm(v.formulaDepth),
            error: halfRange(v.formulaError).toFixed(1),
          })}
        </p>
      )}
      <FromWhere v={v} />
      <p className="text-sm">
        {t('{{words}} words, {{sentences}} sentences of {{each}} words on average, {{distinct}} different words.', {
          words: m.words,
          sentences: m.sentences,
          each: (m.words / m.sentences).toFixed(1),
          distinct: m.distinctWords,
        })}
        {m.short && ` ${t('Under 100 words: depth is approximate.')}`}
      </p>
      <Table className="[&_caption]:pb-1 [&_caption]:text-left">
        <caption className="sr-only">{t('Formulas compared')}</caption>
        <TableHead>
          <tr>
            <Th>{t('Formula')}</Th>
            <Th num>{t('Grade')}</Th>
            <Th>{t('weight shown by size')}</Th>
          </tr>
        </TableHead>
        <TableBody>
          {used.map((f) => (
            <tr key={f.formula}>
              <Th scope="row">{f.formula}</Th>
              <Td num>{f.grade.toFixed(1).replace('-', '−')}</Td>
              <Td>
                <svg width="176" height="14" aria-hidden>
                  <path d="M4 7H172" stroke="var(--color-line)" />
                  <circle cx={x(f.grade)} cy="7" r={2 + f.weight * 1.6} fill="var(--color-depth-6)" />
                  <path d={`M${x(m.gradeEquivalent)} 0v14`} stroke="var(--color-overlay)" strokeWidth="2" />
                </svg>
              </Td>
            </tr>
          ))}
        </TableBody>
      </Table>
      <p className="text-soft text-sm">
        {t('Combined, with {{rarity}} grades for rare words: grade {{grade}} (the line).', {
          rarity: (m.rarityGrades >= 0 ? '+' : '−') + Math.abs(m.rarityGrades).toFixed(1),
          grade: m.gradeEquivalent.toFixed(1),
        })}
      </p>
      {m.rarestWords.length > 0 && (
        <p className="text-sm">
          {t('Rarest words:')} {m.rarestWords.join(', ')}
        </p>
      )}
      {m.longestSentences[0] && (
        <p className="text-sm">
          {t('Longest sentence ({{count}} words):', { count: m.longestSentences[0].words })} “
          {m.longestSentences[0].sentence}”
        </p>
      )}
    </section>
  );
}

/** What the formulas say, what readers' answers say, and how much each weighs. */
function FromWhere({ v }: { v: Version }) {
  const shown = v.shown;
  if (!shown)
    return <p className="text-soft text-sm">{t('From the formulas only: fewer than five readers have answered.')}</p>;
  const rows = [
    { name: t('formulas'), depth: v.formulaDepth, weight: 1 - shown.weight },
    ...(shown.alone == null ? [] : [{ name: t('answers'), depth: shown.alone, weight: shown.weight }]),
  ];
  const low = Math.min(...rows.map((r) => r.depth), shown.depth) - 3,
    high = Math.max(...rows.map((r) => r.depth), shown.depth) + 3;
  const x = (d: number) => 4 + ((d - low) / (high - low)) * 168;
  return (
    <Table className="[&_caption]:pb-1 [&_caption]:text-left">
      <caption className="text-sm">
        {t('From the formulas and from {{count}} readers’ answers', { count: shown.readers })}
      </caption>
      <TableHead>
        <tr>
          <Th>{t('Source')}</Th>
          <Th num>fm</Th>
          <Th>{t('weight shown by size')}</Th>
          <Th num>{t('Weight')}</Th>
        </tr>
      </TableHead>
      <TableBody>
        {rows.map((r) => (
          <tr key={r.name}>
            <Th scope="row">{r.name}</Th>
            <Td num>{fm(r.depth)}</Td>
            <Td>
              <svg width="176" height="14" aria-hidden>
                <path d="M4 7H172" stroke="var(--color-line)" />
                <circle cx={x(r.depth)} cy="7" r={2 + r.weight * 5} fill="var(--color-depth-6)" />
                <path d={`M${x(shown.depth)} 0v14`} stroke="var(--color-overlay)" strokeWidth="2" />
              </svg>
            </Td>
            <Td num>{t('{{n}}%', { n: Math.round(r.weight * 100) })}</Td>
          </tr>
        ))}
      </TableBody>
    </Table>
  );
}
