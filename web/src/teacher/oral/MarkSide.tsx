import { useState } from 'react';
import { t } from '../../shared/words';
import { strandName } from '../../shared/format';
import { change, isBetween, shownAt, type Mark } from './marks';
import { kindNames } from './SheetLines';
import type { RecordData, Sheet } from './useSheet';

const sources = [
  ['M', 'meaning'],
  ['S', 'structure'],
  ['V', 'what the word looks like'],
] as const;
const partNames: Record<string, string> = {
  'people-and-place': 'Who, and where',
  'what-goes-wrong': 'What goes wrong',
  'events-in-order': 'What happens, in order',
  'how-it-ends': 'How it ends',
  'what-it-is-about': 'What it is about',
  'main-points': 'The main points',
  'how-they-hang-together': 'How they hang together',
  details: 'Details that show it',
  'own-words': 'In own words',
};
const points = ['not told', 'partly', 'told'] as const;

type Change = (to: (s: Sheet) => Partial<Sheet>) => void;
interface Props {
  record: RecordData;
  sheet: Sheet;
  change: Change;
  go: (index: number) => void;
}

/** What is looked at after the reading: each miscue and what the reader went by, the retelling, questions, a note. */
export function MarkSide(p: Props) {
  const [shows, setShows] = useState<'miscues' | 'retelling' | 'questions' | 'note'>('miscues');
  const tabs = [
    ['miscues', t('Miscues')],
    ['retelling', t('Retelling')],
    ...(p.record.questions.length > 0 ? [['questions', t('Questions')]] : []),
    ['note', t('Note')],
  ] as [typeof shows, string][];
  return (
    <section className="markside" aria-label={t('After the reading')}>
      <div className="switch" role="group" aria-label={t('View')}>
        {tabs.map(([key, name]) => (
          <button key={key} aria-pressed={shows === key} onClick={() => setShows(key)}>
            {name}
          </button>
        ))}
      </div>
      {shows === 'miscues' ? (
        <Miscues {...p} />
      ) : shows === 'retelling' ? (
        <Retold {...p} />
      ) : shows === 'questions' ? (
        <Asked {...p} />
      ) : (
        <label className="notebox">
          {t('A note for colleagues')}
          <textarea
            rows={6}
            maxLength={1000}
            value={p.sheet.note}
            onChange={(e) => {
              const note = e.target.value;
              p.change(() => ({ note }));
            }}
          />
        </label>
      )}
    </section>
  );
}

function Miscues({ record, sheet, change: put, go }: Props) {
  if (sheet.marks.length === 0)
    return (
      <p className="soft">
        {t(
          'Nothing is marked yet. Each mark appears here, so that what was said and what the reader went by can be written down.',
        )}
      </p>
    );
  const set = (m: Mark, to: Partial<Mark>) => put((s) => ({ marks: change(s.marks, m, to) }));
  return (
    <>
      <ul className="miscues">
        {sheet.marks.map((m) => {
          const text = m.index < 0 ? t('before the first word') : shownAt(record.body, record.words, m.index);
          return (
            <li key={`${m.index} ${m.kind}`}>
              <button className="link" onClick={() => go(Math.max(0, m.index))}>
                {text}
              </button>
              <span className="soft">
                {t(kindNames[m.kind])}
                {m.doubt && `, ${t('not sure')}`}
              </span>
              {m.kind !== 'Omission' && m.kind !== 'Repetition' && (
                <input
                  type="text"
                  aria-label={t('What was said for {{word}}', { word: text })}
                  maxLength={60}
                  placeholder={t('what was said')}
                  value={m.heard}
                  onChange={(e) => set(m, { heard: e.target.value })}
                />
              )}
              {!isBetween(m.kind) && m.kind !== 'Told' && (
                <span
                  className="msv"
                  role="group"
                  aria-label={t('What the reader went by at {{word}}', { word: text })}
                >
                  {sources.map(([letter, name]) => (
                    <button
                      key={letter}
                      aria-pressed={m.used.includes(letter)}
                      title={t(name)}
                      aria-label={t(name)}
                      onClick={() =>
                        set(m, {
                          used: sources
                            .map(([l]) => l)
                            .filter((l) => (l === letter) !== m.used.includes(l))
                            .join(''),
                        })
                      }
                    >
                      {letter}
                    </button>
                  ))}
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <table className="sources">
        <caption>{t('The reader went by')}</caption>
        <thead>
          <tr>
            <th />
            {sources.map(([l, name]) => (
              <th key={l} className="num" title={t(name)}>
                {l}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[false, true].map((corrected) => (
            <tr key={String(corrected)}>
              <th scope="row">{corrected ? t('at corrections') : t('at errors')}</th>
              {sources.map(([l]) => (
                <td key={l} className="num">
                  {sheet.marks.filter((m) => m.used.includes(l) && (m.kind === 'SelfCorrection') === corrected).length}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Retold({ record, sheet, change: put }: Props) {
  const told = Object.values(sheet.retelling);
  return (
    <>
      <ul className="retelling">
        {record.parts.map((part) => (
          <li key={part}>
            <span>{t(partNames[part] ?? part)}</span>
            <span className="switch" role="group" aria-label={t(partNames[part] ?? part)}>
              {points.map((name, n) => (
                <button
                  key={name}
                  aria-pressed={sheet.retelling[part] === n}
                  onClick={() =>
                    put((s) => {
                      const { [part]: was, ...rest } = s.retelling;
                      return { retelling: was === n ? rest : { ...rest, [part]: n } };
                    })
                  }
                >
                  {t(name)}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
      <p className="soft">
        {told.length === 0
          ? t('Listen for these while the reader tells it again.')
          : t('{{n}} of {{of}} points', { n: told.reduce((a, b) => a + b, 0), of: 2 * told.length })}
      </p>
    </>
  );
}

function Asked({ record, sheet, change: put }: Props) {
  const answer = (id: string) => sheet.answers.find((a) => a.questionId === id);
  return (
    <>
      <p className="soft small">
        {t('Asked aloud, without the choices. Those you mark count as answers in the level.')}
      </p>
      <ol className="askaloud">
        {record.questions.map((q) => (
          <li key={q.id}>
            <p>
              <span className="strand">{t(strandName(q.strand))}</span> {q.stem}
            </p>
            {q.rightAnswers.length > 0 && <p className="soft small">{q.rightAnswers.join(' / ')}</p>}
            <span className="switch" role="group" aria-label={q.stem}>
              {[true, false].map((right) => (
                <button
                  key={String(right)}
                  aria-pressed={answer(q.id)?.right === right}
                  onClick={() =>
                    put((s) => ({
                      answers: [
                        ...s.answers.filter((a) => a.questionId !== q.id),
                        ...(answer(q.id)?.right === right ? [] : [{ questionId: q.id, right }]),
                      ],
                    }))
                  }
                >
                  {right ? t('right') : t('not right')}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
