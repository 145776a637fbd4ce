import { cx } from 'class-variance-authority';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Fragment } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { fm, halfRange } from '../../shared/format';
import { keys } from '../../shared/keys';
import { say, t } from '../../shared/words';
import { Patterns, useTaught } from './Patterns';
import { pieces, strongest } from './whyPieces';
import { sure } from '../../shared/sure';

export type Measured = Api<'MeasuredView'>;

/** A text measured as it stands, also while it is being written. */
export const useMeasured = (
  text: string,
  change: { sentenceLength: number; unfamiliar: number } = { sentenceLength: 1, unfamiliar: 1 },
) => {
  const taught = useTaught();
  return useQuery({
    queryKey: keys.measure(text, change, taught),
    enabled: text.trim().length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: () => ok(api.POST('/texts/measure', { body: { text, ...change, taught } })),
  });
};

const more = (adds: number) => `${adds < 0 ? '−' : '+'}${Math.abs(adds).toFixed(1)} fm`;

/** The text with the sentences and words that make it deep marked in it. */
export function WhyText({ m }: { m: Measured }) {
  if (!m.why) return null;
  return (
    <div className={cx('[&_u]:decoration-overlay', '[&_p]:mb-3 [&_p]:leading-[1.75]')}>
      {
        m.plain.split('\n\n').reduce<{ at: number; out: React.ReactNode[] }>(
          (acc, p, i) => {
            const from = acc.at,
              to = from + p.length;
            acc.out.push(
              <p key={i}>
                {pieces(m.plain, sure(m.why), from, to).map((x, k) => {
                  const word = x.word ? (
                    <u title={t('{{word}}: {{adds}}', { word: x.word.word, adds: more(x.word.adds) })}>{x.text}</u>
                  ) : (
                    x.text
                  );
                  return x.sentence ? (
                    <mark
                      key={k}
                      className={cx('text-ink rounded-xs', x.sentence.rank < 2 ? 'bg-depth-3' : 'bg-depth-2')}
                      title={t('{{words}} words: {{adds}}', { words: x.sentence.words, adds: more(x.sentence.adds) })}
                    >
                      {word}
                    </mark>
                  ) : (
                    <Fragment key={k}>{word}</Fragment>
                  );
                })}
              </p>,
            );
            return { at: to + 2, out: acc.out };
          },
          { at: 0, out: [] },
        ).out
      }
    </div>
  );
}

/** The same in lists: what would have to be changed first. */
export function WhyLists({ m }: { m: Measured }) {
  if (!m.why) return null;
  const sentences = strongest(m.why).slice(0, 5);
  return (
    <>
      <h3>{t('Sentences that add most')}</h3>
      {sentences.length === 0 ? (
        <p className="text-soft text-sm">{t('None stands out.')}</p>
      ) : (
        <ul
          className={cx(
            '[&>li]:border-line [&>li]:font-ui [&>li]:grid [&>li]:grid-cols-[72px_1fr] [&>li]:border-t',
            '[&>li]:py-0.75 [&>li]:text-base',
          )}
        >
          {sentences.map((s) => (
            <li key={s.start}>
              <b>{more(s.adds)}</b>{' '}
              <span>
                “{m.plain.slice(s.start, s.end)}”{' '}
                <span className="text-soft">{t('{{count}} words', { count: s.words })}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
      <h3>{t('Words that add most')}</h3>
      {m.why.words.length === 0 ? (
        <p className="text-soft text-sm">{t('All words are familiar.')}</p>
      ) : (
        <ul className="font-ui flex flex-wrap gap-x-3.5 gap-y-1 text-base">
          {m.why.words.slice(0, 14).map((w) => (
            <li key={w.word}>
              {w.word}
              {w.times > 1 && ` ×${w.times}`} <b>{more(w.adds)}</b>
            </li>
          ))}
        </ul>
      )}
      {m.why.dialogueShare > 0.05 && (
        <p className="text-sm">
          {t('{{share}}% of the words are spoken by someone.', { share: Math.round(100 * m.why.dialogueShare) })}
        </p>
      )}
      <Patterns m={m} />
    </>
  );
}

/** What keeps a text from being measured, or its depth from meaning much. */
export function Remarks({ m }: { m: Measured }) {
  return m.remarks.length === 0 ? null : (
    <div className="border-buoy bg-sand font-ui my-1.5 border-l-3 px-2.5 py-1.5 text-base" role="status">
      {m.remarks.map((r) => (
        <p key={r.doubt}>{say(r.sentence)}</p>
      ))}
    </div>
  );
}

export const depthLine = (m: Measured) =>
  m.depth == null
    ? t('not measured')
    : t('{{depth}} fm ± {{error}}, {{level}}', {
        depth: fm(m.depth),
        error: halfRange(m.depthError ?? 0).toFixed(1),
        level: say(m.levelName),
      });
