import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext, useParams } from 'react-router';
import { get, type Api } from '../../shared/api';
import { fm, strandName } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';

type TextData = Api<'TextView'>;
type Version = TextData['versions'][number];

/** One text: how deep and how that was measured, the text itself, its quiz and its words. */
export default function TextPage() {
  useOutletContext<Place>();
  const { textId = '' } = useParams();
  const tray = useTray();
  const text = useQuery({ queryKey: ['text', textId], queryFn: () => get<TextData>(`/texts/${textId}`) });
  const [at, setAt] = useState(0);
  return (
    <Show query={text}>{(x) => {
      const version = x.versions[Math.min(at, x.versions.length - 1)]!;
      return (
        <div className="textpage">
          <div className="head">
            <h1>{x.title}</h1><p className="soft">{x.kind}, {x.fiction ? t('fiction') : t('non-fiction')} · {x.topic}</p><span className="grow" />
            {x.versions.length > 1 && <div className="switch" role="group" aria-label={t('Version')}>{x.versions.map((v, i) => <button key={v.id} aria-pressed={v.id === version.id} onClick={() => setAt(i)}>{fm(v.depth)} fm</button>)}</div>}
            <button className="btn main" onClick={() => tray.toggleText(x.id)}>{tray.texts.includes(x.id) ? t('Put back') : t('Pick up this text')}</button>
          </div>
          <div className="textcols">
            <article className={version.depth < 30 ? 'body first' : 'body'} aria-label={t('The text')}>
              {version.pages.map((page, i) => <section key={i}>{i > 0 && <p className="pagebreak" aria-hidden>{t('page {{n}}', { n: i + 1 })}</p>}{page.map((p, k) => p.startsWith('#') ? <h3 key={k}>{p.replace(/^#+\s*/, '')}</h3> : <Marked key={k} text={p} />)}</section>)}
            </article>
            <div className="side">
              <Measured v={version} />
              <section aria-labelledby="quiz"><h2 id="quiz">{t('Quiz')} <span className="soft small">{t('{{count}} questions', { count: x.questions.length })}</span></h2>
                <ol className="quizlist">{x.questions.map((q) => (
                  <li key={q.id}><details><summary><span className="strand">{strandName(q.strand)}</span> {q.stem}</summary>
                    <ul>{q.choices.map((c) => <li key={c.text}><b aria-hidden>{c.right ? '✓' : '✗'}</b> <span className={c.right ? 'right' : undefined}>{c.text}<span className="hide"> {c.right ? t('(right)') : t('(wrong)')}</span></span><p className="soft">{c.reason}</p></li>)}</ul>
                    <p className="proof">{t('Proof:')} “{q.proofs[version.label] ?? q.proofs['all']}”</p></details></li>
                ))}</ol></section>
              {x.words.length > 0 && <section aria-labelledby="wordsto"><h2 id="wordsto">{t('Words to know')}</h2><dl className="wordlist">{x.words.map((w) => <div key={w.text}><dt>{w.text} <i>{w.part}</i></dt><dd>{w.meaning}</dd></div>)}</dl></section>}
            </div>
          </div>
        </div>
      );
    }}</Show>
  );
}

/** Bold and slanted words of a paragraph. */
export function Marked({ text }: { text: string }) {
  return <p>{text.split(/(\*\*[^*]+\*\*|\*[^*]+\*)/).map((part, i) => part.startsWith('**') ? <b key={i}>{part.slice(2, -2)}</b> : part.startsWith('*') && part.length > 2 ? <i key={i}>{part.slice(1, -1)}</i> : part)}</p>;
}

function Measured({ v }: { v: Version }) {
  const m = v.measure;
  const used = m.formulas.filter((f) => f.weight > 0);
  const x = (grade: number) => 4 + (Math.max(-1, Math.min(12, grade)) + 1) * 13;
  return (
    <section aria-labelledby="how">
      <h2 id="how">{t('Depth {{depth}} fm', { depth: fm(v.depth) })} <span className="soft small">± {v.depthError.toFixed(1)}, {t('typical of grade {{grade}}', { grade: v.gradeLabel })}</span></h2>
      <p className="small">{t('{{words}} words, {{sentences}} sentences of {{each}} words on average, {{distinct}} different words.', { words: m.words, sentences: m.sentences, each: (m.words / m.sentences).toFixed(1), distinct: m.distinctWords })}{m.short && ` ${t('Under 100 words: the depth is less sure.')}`}</p>
      <table className="formulas"><caption className="hide">{t('How the formulas agree')}</caption><thead><tr><th>{t('Formula')}</th><th className="num">{t('Grade')}</th><th>{t('weight shown by size')}</th></tr></thead>
        <tbody>{used.map((f) => <tr key={f.formula}><th scope="row">{f.formula}</th><td className="num">{f.grade.toFixed(1).replace('-', '−')}</td><td><svg width="176" height="14" aria-hidden><path d="M4 7H172" stroke="var(--line)" /><circle cx={x(f.grade)} cy="7" r={2 + f.weight * 1.6} fill="var(--depth-6)" /><path d={`M${x(m.gradeEquivalent)} 0v14`} stroke="var(--overlay)" strokeWidth="2" /></svg></td></tr>)}</tbody></table>
      <p className="small soft">{t('Together, with {{rarity}} grades for how rare the words are: grade {{grade}} (the line).', { rarity: (m.rarityGrades >= 0 ? '+' : '−') + Math.abs(m.rarityGrades).toFixed(1), grade: m.gradeEquivalent.toFixed(1) })}</p>
      {m.rarestWords.length > 0 && <p className="small">{t('Rarest words:')} {m.rarestWords.join(', ')}</p>}
      {m.longestSentences[0] && <p className="small">{t('Longest sentence ({{n}} words):', { n: m.longestSentences[0].words })} “{m.longestSentences[0].sentence}”</p>}
    </section>
  );
}
