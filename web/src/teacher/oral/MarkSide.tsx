import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { named, phrase, type Phrase, t } from '../../shared/words';
import { strandName } from '../../shared/format';
import { change, isBetween, shownAt, type Mark } from './marks';
import { kindNames } from './SheetLines';
import type { RecordData, Sheet } from './useSheet';
import { Button, TextButton } from '../../ui/Button';
import { Segments } from '../../ui/Segments';
import { TextArea, TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

const sources = [
  ['M', 'meaning'],
  ['S', 'structure'],
  ['V', 'what the word looks like'],
] as const;
const partNames: Record<string, Phrase> = {
  'people-and-place': phrase('Who and where'),
  'what-goes-wrong': phrase('The problem'),
  'events-in-order': phrase('Events in order'),
  'how-it-ends': phrase('The ending'),
  'what-it-is-about': phrase('Topic'),
  'main-points': phrase('Main points'),
  'how-they-hang-together': phrase('How they connect'),
  details: phrase('Supporting details'),
  'own-words': phrase('In their own words'),
};
const partName = (part: string) => (partNames[part] ? t(partNames[part]) : named(part));
const points = ['not retold', 'partly', 'told'] as const;

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
    <section aria-label={t('After the reading')}>
      <Segments
        label={t('View')}
        size="sm"
        value={shows}
        set={setShows}
        options={tabs.map(([key, name]) => ({ value: key, label: name }))}
      />
      {shows === 'miscues' && <Miscues {...p} />}
      {shows === 'retelling' && <Retold {...p} />}
      {shows === 'questions' && <Asked {...p} />}
      {shows === 'note' && (
        <TextArea
          label={t('Note for colleagues')}
          inline
          rows={6}
          maxLength={1000}
          value={p.sheet.note}
          set={(value) => {
            const note = value;
            p.change(() => ({ note }));
          }}
        />
      )}
    </section>
  );
}

function Miscues({ record, sheet, change: put, go }: Props) {
  if (sheet.marks.length === 0)
    return (
      <p className="text-soft">
        {t('No miscues marked yet. Each appears here, with what was said and the sources of information used.')}
      </p>
    );
  const set = (m: Mark, to: Partial<Mark>) => put((s) => ({ marks: change(s.marks, m, to) }));
  return (
    <>
      <ul
        className={cx(
          '[&>li]:border-line text-sm [&>li]:grid [&>li]:grid-cols-[minmax(0,1fr)_auto]',
          '[&>li]:items-center [&>li]:gap-x-2 [&>li]:gap-y-0.5 [&>li]:border-b [&>li]:py-1',
        )}
      >
        {sheet.marks.map((m) => {
          const text = m.index < 0 ? t('before the first word') : shownAt(record.body, record.words, m.index);
          return (
            <li key={`${m.index} ${m.kind}`}>
              <TextButton className="text-left font-semibold" onClick={() => go(Math.max(0, m.index))}>
                {text}
              </TextButton>
              <span className="text-soft">
                {t(kindNames[m.kind])}
                {m.doubt && `, ${t('not sure')}`}
              </span>
              {m.kind !== 'Omission' && m.kind !== 'Repetition' && (
                <TextField
                  label={t('What was said for {{word}}', { word: text })}
                  bare
                  maxLength={60}
                  placeholder={t('what was said')}
                  value={m.heard}
                  set={(value) => set(m, { heard: value })}
                />
              )}
              {!isBetween(m.kind) && m.kind !== 'Told' && (
                <span
                  className="inline-flex gap-0.5"
                  role="group"
                  aria-label={t('Sources of information used at {{word}}', { word: text })}
                >
                  {sources.map(([letter, name]) => (
                    <Button
                      key={letter}
                      size="sm"
                      square
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
                    </Button>
                  ))}
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <Table className="text-sm [&_caption]:text-left [&_caption]:font-semibold">
        <caption>{t('Sources of information used')}</caption>
        <TableHead>
          <tr>
            <Th />
            {sources.map(([l, name]) => (
              <Th num key={l} title={t(name)}>
                {l}
              </Th>
            ))}
          </tr>
        </TableHead>
        <TableBody>
          {[false, true].map((corrected) => (
            <tr key={String(corrected)}>
              <Th scope="row">{corrected ? t('at corrections') : t('at errors')}</Th>
              {sources.map(([l]) => (
                <Td num key={l}>
                  {sheet.marks.filter((m) => m.used.includes(l) && (m.kind === 'SelfCorrection') === corrected).length}
                </Td>
              ))}
            </tr>
          ))}
        </TableBody>
      </Table>
    </>
  );
}

function Retold({ record, sheet, change: put }: Props) {
  const told = Object.values(sheet.retelling);
  return (
    <>
      <ul className="[&>li]:border-line text-sm [&>li]:grid [&>li]:gap-1 [&>li]:border-b [&>li]:py-1.25">
        {record.parts.map((part) => (
          <li key={part}>
            <span>{partName(part)}</span>
            <Segments
              label={partName(part)}
              size="sm"
              value={sheet.retelling[part]?.toString()}
              set={(n) => put((now) => ({ retelling: { ...now.retelling, [part]: Number(n) } }))}
              unset={() =>
                put((now) => ({
                  retelling: Object.fromEntries(Object.entries(now.retelling).filter(([key]) => key !== part)),
                }))
              }
              options={points.map((name, n) => ({ value: String(n), label: t(name) }))}
            />
          </li>
        ))}
      </ul>
      <p className="text-soft">
        {told.length === 0
          ? t('Listen for these in the retelling.')
          : t('{{n}} of {{of}} points', { n: told.reduce((a, b) => a + b, 0), of: 2 * told.length })}
      </p>
    </>
  );
}

function Asked({ record, sheet, change: put }: Props) {
  const answer = (id: string) => sheet.answers.find((a) => a.questionId === id);
  return (
    <>
      <p className="text-soft text-sm">{t('Ask aloud, without the choices. Answers you mark count in the level.')}</p>
      <ol className="[&>li]:border-line text-sm [&>li]:grid [&>li]:gap-1 [&>li]:border-b [&>li]:py-1.25">
        {record.questions.map((q) => (
          <li key={q.id}>
            <p>
              <span className="border-soft font-ui inline-block rounded-sm border px-1.5 text-sm font-normal">
                {strandName(q.strand)}
              </span>{' '}
              {q.stem}
            </p>
            {q.rightAnswers.length > 0 && <p className="text-soft text-sm">{q.rightAnswers.join(' / ')}</p>}
            <Segments
              label={q.stem}
              size="sm"
              value={answer(q.id)?.right.toString()}
              set={(right) =>
                put((now) => ({
                  answers: [
                    ...now.answers.filter((a) => a.questionId !== q.id),
                    { questionId: q.id, right: right === 'true' },
                  ],
                }))
              }
              unset={() => put((now) => ({ answers: now.answers.filter((a) => a.questionId !== q.id) }))}
              options={[
                { value: 'true', label: t('right') },
                { value: 'false', label: t('not right') },
              ]}
            />
          </li>
        ))}
      </ol>
    </>
  );
}
