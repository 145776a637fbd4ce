import type { Api } from '../../shared/api';
import { number, strandName, percent } from '../../shared/format';
import { phrase, type Phrase, t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';

export type SignalKind = Api<'SignalKind'>;
export type Signal = ReaderRow['signals'][number];

type Kind = {
  name: Phrase;
  /** The shape above the buoy; drawn as an outline where it is open. */
  topmark: string;
  open?: true;
  /** What happened, and what that rests on. */
  says: (name: string, s: Signal) => [string, string];
};

const scores = (s: Signal) => s.figures.map((f) => percent(f / 100)).join(', ');

/** Signals, the gravest first. */
export const signals: Record<SignalKind, Kind> = {
  OutOfDepth: {
    name: phrase('Texts too hard'),
    topmark: 'M4 5.500h6L7 1z',
    says: (name, s) => [t('{{name}} scored under 60% on three texts in a row.', { name }), scores(s)],
  },
  FlickedThrough: {
    name: phrase('Too fast'),
    topmark: 'M4.500 1l5 4.500m0-4.500l-5 4.500',
    open: true,
    says: (name, { title, figures: [seconds, minutes, words] }) => [
      t('{{name}} had {{title}} open for {{count}} seconds.', { name, title: title ?? '', count: seconds ?? 0 }),
      t('Reading its {{words}} words takes about {{minutes}} min.', {
        words: number(words ?? 0),
        minutes: Math.round(minutes ?? 0),
      }),
    ],
  },
  SameStrandMissed: {
    name: phrase('Same strand missed'),
    topmark: 'M4.200 1.200h5.600v4.300H4.200z',
    says: (name, { strand, figures: [right, asked] }) => [
      t('{{name}} still misses {{strand}} questions.', { name, strand: strandName(strand) }),
      t('{{right}} of {{asked}} right on the first try in six weeks.', { right: right ?? 0, asked: asked ?? 0 }),
    ],
  },
  ReadyToMoveDeeper: {
    name: phrase('Ready for deeper texts'),
    topmark: 'M4 1h6L7 5.500z',
    says: (name, s) => [
      t('{{name}} finds the texts easy.', { name }),
      t('{{scores}} on the last three texts.', { scores: scores(s) }),
    ],
  },
  NothingRead: {
    name: phrase('Nothing read'),
    topmark: 'M7 3.200m-2.200 0a2.200 2.200 0 1 0 4.400 0a2.200 2.200 0 1 0-4.400 0',
    open: true,
    says: (name, { figures: [days] }) => [
      t('{{name}} has read nothing for {{count}} school days.', { name, count: days ?? 0 }),
      '',
    ],
  },
};

export const signalKinds = Object.keys(signals) as SignalKind[];
export const signalName = (kind: SignalKind) => t(signals[kind].name);
