import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, fm } from '../../shared/format';
import { keys } from '../../shared/keys';
import { Block, plain } from '../../shared/paragraphs';
import { Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { QuestionKey, Tags } from './quiz/QuestionKey';
import { MazeDraft } from './MazeDraft';
import { TextActions } from './TextActions';
import { TextHistory } from './TextHistory';
import { TextUse } from './TextUse';
import { bodyOf, wordsOf } from './textForm';
import { Remarks, useMeasured, WhyLists, WhyText } from './Why';
import './texts.css';
import { sure } from '../../shared/sure';

export type TextData = Api<'TextView'>;
export type Version = TextData['versions'][number];

type Shown = 'text' | 'why' | 'versions' | 'maze' | 'use' | 'history';

/** One text: how deep and how that was measured, the text itself, its quiz and its words. */
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
          ['why', t('What makes it deep')],
          ...(x.versions.length > 1 ? [['versions', t('Versions side by side')] as [Shown, string]] : []),
          ['maze', t('Maze passage')],
          ['use', t('How it was used')],
          ['history', t('History')],
        ];
        return (
          <div className="textpage">
            <div className="head">
              <h1>{x.title}</h1>
              <p className="soft">
                {x.kind}, {x.fiction ? t('fiction') : t('non-fiction')} · {x.topic}
                {!x.ships &&
                  ` · ${x.mine ? t('seen by its maker only') : t('by {{name}}', { name: x.owner ?? t('a former colleague') })}`}
                {x.retired && ` · ${t('retired')}`}
              </p>
              <span className="grow" />
              <TextActions x={x} version={version} classId={data.id} />
              <button className="btn main" onClick={() => tray.toggleText(x.id)}>
                {tray.texts.includes(x.id) ? t('Put back') : t('Pick up this text')}
              </button>
            </div>
            <div className="head under">
              <div className="switch" role="group" aria-label={t('View')}>
                {views.map(([key, name]) => (
                  <button key={key} aria-pressed={shows === key} onClick={() => setShows(key)}>
                    {name}
                  </button>
                ))}
              </div>
              {x.versions.length > 1 && (shows === 'text' || shows === 'why' || shows === 'maze') && (
                <div className="switch" role="group" aria-label={t('Version')}>
                  {x.versions.map((v, i) => (
                    <button key={v.id} aria-pressed={v.id === version.id} onClick={() => setAt(i)}>
                      {fm(v.depth)} fm
                    </button>
                  ))}
                </div>
              )}
            </div>
            {shows === 'versions' ? (
              <SideBySide versions={x.versions} />
            ) : shows === 'history' ? (
              <TextHistory x={x} />
            ) : shows === 'maze' ? (
              <MazeDraft key={version.id} textId={x.id} title={x.title} versionId={version.id} />
            ) : shows === 'use' ? (
              <TextUse textId={x.id} classId={data.id} questions={x.questions} />
            ) : (
              <div className="textcols">
                {shows === 'why' ? (
                  <Reasons v={version} />
                ) : (
                  <article className={version.depth < 30 ? 'body first' : 'body'} aria-label={t('The text')}>
                    {version.pages.map((page, i) => (
                      <section key={i}>
                        {i > 0 && (
                          <p className="pagebreak" aria-hidden>
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
                <div className="side">
                  <MeasuredSide v={version} />
                  <section aria-labelledby="quiz">
                    <h2 id="quiz">
                      {t('Quiz')}{' '}
                      <span className="soft small">
                        {t('{{count}} questions', { count: x.questions.filter((q) => !q.after).length })}
                      </span>
                    </h2>
                    {x.questions.length === 0 && (
                      <p className="soft">{t('It has no questions yet, so it cannot be assigned.')}</p>
                    )}
                    <ol className="quizlist">
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
                        <Link className="btn small" to={`/class/${data.id}/texts/${x.id}/quiz`}>
                          {x.questions.length === 0 ? t('Write its quiz') : t('Change the quiz')}
                        </Link>
                      </p>
                    )}
                  </section>
                  {x.words.length > 0 && (
                    <section aria-labelledby="wordsto">
                      <h2 id="wordsto">{t('Words to know')}</h2>
                      <dl className="wordlist">
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
        <article className="body reasons" aria-label={t('What makes it deep')}>
          <p className="small soft">
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
    <div className="scroll sidebyside" tabIndex={0} role="region" aria-label={t('Versions side by side')}>
      <table>
        <thead>
          <tr>
            {versions.map((v) => (
              <th key={v.id}>
                <span>
                  {fm(v.depth)} fm, {t('{{count}} words', { count: v.measure.words })}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: Math.max(...flat.map((f) => f.length)) }, (_, i) => (
            <tr key={i}>
              {flat.map((f, k) => (
                <td key={k}>
                  {plain(f[i] ?? '')
                    .split(/([\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*)/u)
                    .map((part, n) => (n % 2 === 1 && only(k, part.toLowerCase()) ? <u key={n}>{part}</u> : part))}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small soft">{t('Underlined words stand in this version only.')}</p>
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
        <span className="soft small">
          ± {v.depthError.toFixed(1)}, {t('typical of grade {{grade}}', { grade: v.gradeLabel })}
        </span>
      </h2>
      {v.stated && (
        <p className="small">
          <b>
            {t('Stated by {{name}}, {{day}}:', {
              name: v.stated.by ?? t('a former colleague'),
              day: dayOf(v.stated.at),
            })}
          </b>{' '}
          “{v.stated.reason}”{' '}
          {t('The formulas say {{depth}} fm ± {{error}}.', {
            depth: fm(v.formulaDepth),
            error: v.formulaError.toFixed(1),
          })}
        </p>
      )}
      <FromWhere v={v} />
      <p className="small">
        {t('{{words}} words, {{sentences}} sentences of {{each}} words on average, {{distinct}} different words.', {
          words: m.words,
          sentences: m.sentences,
          each: (m.words / m.sentences).toFixed(1),
          distinct: m.distinctWords,
        })}
        {m.short && ` ${t('Under 100 words: the depth is less sure.')}`}
      </p>
      <table className="formulas">
        <caption className="hide">{t('How the formulas agree')}</caption>
        <thead>
          <tr>
            <th>{t('Formula')}</th>
            <th className="num">{t('Grade')}</th>
            <th>{t('weight shown by size')}</th>
          </tr>
        </thead>
        <tbody>
          {used.map((f) => (
            <tr key={f.formula}>
              <th scope="row">{f.formula}</th>
              <td className="num">{f.grade.toFixed(1).replace('-', '−')}</td>
              <td>
                <svg width="176" height="14" aria-hidden>
                  <path d="M4 7H172" stroke="var(--line)" />
                  <circle cx={x(f.grade)} cy="7" r={2 + f.weight * 1.6} fill="var(--depth-6)" />
                  <path d={`M${x(m.gradeEquivalent)} 0v14`} stroke="var(--overlay)" strokeWidth="2" />
                </svg>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small soft">
        {t('Together, with {{rarity}} grades for how rare the words are: grade {{grade}} (the line).', {
          rarity: (m.rarityGrades >= 0 ? '+' : '−') + Math.abs(m.rarityGrades).toFixed(1),
          grade: m.gradeEquivalent.toFixed(1),
        })}
      </p>
      {m.rarestWords.length > 0 && (
        <p className="small">
          {t('Rarest words:')} {m.rarestWords.join(', ')}
        </p>
      )}
      {m.longestSentences[0] && (
        <p className="small">
          {t('Longest sentence ({{n}} words):', { n: m.longestSentences[0].words })} “{m.longestSentences[0].sentence}”
        </p>
      )}
    </section>
  );
}

/** What the formulas say, what readers' answers say, and how much each weighs. */
function FromWhere({ v }: { v: Version }) {
  const shown = v.shown;
  if (!shown)
    return <p className="small soft">{t('From the formulas alone: fewer than five readers have answered on it.')}</p>;
  const rows = [
    { name: t('formulas'), depth: v.formulaDepth, weight: 1 - shown.weight },
    ...(shown.alone == null ? [] : [{ name: t('answers'), depth: shown.alone, weight: shown.weight }]),
  ];
  const low = Math.min(...rows.map((r) => r.depth), shown.depth) - 3,
    high = Math.max(...rows.map((r) => r.depth), shown.depth) + 3;
  const x = (d: number) => 4 + ((d - low) / (high - low)) * 168;
  return (
    <table className="formulas">
      <caption className="small">
        {t('From the formulas and from {{count}} readers’ answers', { count: shown.readers })}
      </caption>
      <thead>
        <tr>
          <th>{t('Says')}</th>
          <th className="num">fm</th>
          <th>{t('weight shown by size')}</th>
          <th className="num">{t('Weight')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.name}>
            <th scope="row">{r.name}</th>
            <td className="num">{fm(r.depth)}</td>
            <td>
              <svg width="176" height="14" aria-hidden>
                <path d="M4 7H172" stroke="var(--line)" />
                <circle cx={x(r.depth)} cy="7" r={2 + r.weight * 5} fill="var(--depth-6)" />
                <path d={`M${x(shown.depth)} 0v14`} stroke="var(--overlay)" strokeWidth="2" />
              </svg>
            </td>
            <td className="num">{Math.round(r.weight * 100)} %</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
