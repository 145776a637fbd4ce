import type { Api } from '../../shared/api';
import { chanceWords, fm, number, percent, signed, strandName } from '../../shared/format';
import { goalKinds } from '../../shared/goalKinds';
import { phrase, type Phrase, t } from '../../shared/words';

export type SignalKind = Api<'SignalKind'>;
export type Signal = Api<'SignalView'>;

type Kind = {
  name: Phrase;
  /** The shape above the buoy; drawn as an outline where it is open. */
  topmark: string;
  open?: true;
  /** What happened, and what that rests on. */
  says: (name: string, s: Signal) => [string, string];
};

const scores = (s: Signal) => s.points.map((p) => percent(p.value / 100)).join(', ');
const figure = (s: Signal, i: number) => s.figures[i] ?? 0;

/** A figure of a goal, as its kind is written. */
export const inUnit = (s: Signal, value: number) => (s.goal ? goalKinds[s.goal].write(value) : number(value));

/** How much deeper or shallower the texts were than the reader, in words. */
const deeper = (by: number) =>
  Math.abs(by) < 0.5
    ? t('at their depth')
    : by > 0
      ? t('at texts {{n}} fm deeper than they read', { n: by.toFixed(1) })
      : t('at texts {{n}} fm shallower than they read', { n: (-by).toFixed(1) });

/** Signals, the gravest first. */
export const signals: Record<SignalKind, Kind> = {
  OutOfDepth: {
    name: phrase('Texts too hard'),
    topmark: 'M4 5.500h6L7 1z',
    says: (name, s) => [
      t('{{name}} scored far below forecast on three texts in a row.', { name }),
      `${scores(s)}, ${deeper(figure(s, 3))}.`,
    ],
  },
  NothingRead: {
    name: phrase('Nothing read'),
    topmark: 'M7 3.200m-2.200 0a2.200 2.200 0 1 0 4.400 0a2.200 2.200 0 1 0-4.400 0',
    open: true,
    says: (name, s) => [
      figure(s, 2) > 0
        ? t('{{name}} has never read here, in {{count}} school days.', { name, count: figure(s, 0) })
        : t('{{name}} has read nothing for {{count}} school days.', { name, count: figure(s, 0) }),
      figure(s, 1) > 0 ? t('{{count}} texts are waiting.', { count: figure(s, 1) }) : t('No text is waiting.'),
    ],
  },
  FlickedThrough: {
    name: phrase('Flicked through'),
    topmark: 'M4.500 1l5 4.500m0-4.500l-5 4.500',
    open: true,
    says: (name, s) => [
      t('{{name}} had {{title}} open for {{count}} seconds.', { name, title: s.title ?? '', count: figure(s, 0) }),
      t('Reading its {{words}} words takes about {{minutes}} min.', {
        words: number(figure(s, 2)),
        minutes: Math.round(figure(s, 1)),
      }),
    ],
  },
  TooFast: {
    name: phrase('Answered too fast'),
    topmark: 'M3 1l3 2.250L3 5.500m4-4.500l3 2.250L7 5.500',
    open: true,
    says: (name, s) => [
      t('{{name}} answers faster than the questions can be read.', { name }),
      t('{{n}} of {{of}} first tries in the last three texts.', { n: figure(s, 0), of: figure(s, 1) }),
    ],
  },
  SameStrandMissed: {
    name: phrase('Same strand missed'),
    topmark: 'M4.200 1.200h5.600v4.300H4.200z',
    says: (name, s) => [
      t('{{name}} still misses {{strand}} questions after feedback.', { name, strand: strandName(s.strand) }),
      t('{{right}} of {{asked}} right on the first try in six weeks.', { right: figure(s, 0), asked: figure(s, 1) }),
    ],
  },
  BackAndForth: {
    name: phrase('Back and forth'),
    topmark: 'M3 5l2-3.500l2 3.500l2-3.500l2 3.500',
    open: true,
    says: (name, s) => [
      t('{{name}} turned back to easier texts {{count}} times.', { name, count: figure(s, 0) }),
      t('{{change}} fm in {{count}} weeks.', { change: signed(figure(s, 1)), count: Math.max(1, figure(s, 2)) }),
    ],
  },
  UnlikelyGoal: {
    name: phrase('Unlikely to reach a goal'),
    topmark: 'M7 0.800l2.800 2.400L7 5.600L4.200 3.200z',
    says: (name, s) => [
      t('{{name}} is unlikely to reach the {{goal}} goal.', {
        name,
        goal: s.goal ? goalKinds[s.goal].name().toLowerCase() : '',
      }),
      t('Now {{chance}}. Expected: {{expected}} of {{target}}.', {
        chance: chanceWords(figure(s, 3)),
        expected: inUnit(s, figure(s, 2)),
        target: inUnit(s, figure(s, 0)),
      }),
    ],
  },
  FeedbackUnread: {
    name: phrase('Feedback not read'),
    topmark: 'M3.800 1h6.400v4.500H3.800zM3.800 1l3.200 2.500L10.200 1',
    open: true,
    says: (name, s) => [
      t('{{name}} has not looked at the last {{count}} results.', { name, count: figure(s, 0) }),
      t('{{count}} questions were missed in them.', { count: figure(s, 1) }),
    ],
  },
  CheckDisagrees: {
    name: phrase('Check and level disagree'),
    topmark: 'M3.500 2h7M3.500 4.500h7',
    open: true,
    says: (name, s) => [
      t('The check puts {{name}} {{n}} fm {{way}} than the texts did.', {
        name,
        n: Math.abs(figure(s, 1) - figure(s, 0)).toFixed(1),
        way: figure(s, 1) > figure(s, 0) ? t('deeper') : t('shallower'),
      }),
      t('{{check}}: {{found}}. Level before: {{level}}.', {
        check: s.title ?? '',
        found: `${fm(figure(s, 1))} fm`,
        level: `${fm(figure(s, 0))} fm`,
      }),
    ],
  },
  QuestionMissed: {
    name: phrase('Question most missed'),
    topmark: 'M4.700 3m-2 0a2 2 0 1 0 4 0a2 2 0 1 0-4 0M9.300 3m-2 0a2 2 0 1 0 4 0a2 2 0 1 0-4 0',
    says: (_, s) => [
      t('{{n}} of {{of}} missed question {{number}} of {{title}}.', {
        n: figure(s, 0),
        of: figure(s, 1),
        number: figure(s, 4),
        title: s.title ?? '',
      }),
      t('{{n}} of the {{of}} best readers of that quiz, too.', { n: figure(s, 2), of: figure(s, 3) }),
    ],
  },
  ReadyToMoveDeeper: {
    name: phrase('Ready for deeper texts'),
    topmark: 'M4 1h6L7 5.500z',
    says: (name, s) => [
      t('{{name}} scores above forecast, text after text.', { name }),
      `${scores(s)}, ${deeper(figure(s, s.points.length))}.`,
    ],
  },
  ThinEvidence: {
    name: phrase('Thin evidence'),
    topmark: 'M7 0.800v4.700',
    open: true,
    says: (name, s) => [
      t('The level of {{name}} rests on little.', { name }),
      t('It may be {{n}} fm off either way.', { n: figure(s, 0).toFixed(1) }),
    ],
  },
};

export const signalKinds = Object.keys(signals) as SignalKind[];
export const signalName = (kind: SignalKind) => t(signals[kind].name);

/** Takes kinds in turns, so that one kind does not hide the others; new ones come first. */
export function inTurns(all: readonly Signal[]): Signal[] {
  const turns = (of: readonly Signal[]) => {
    const byKind = signalKinds.map((kind) => of.filter((s) => s.kind === kind));
    const most = Math.max(0, ...byKind.map((k) => k.length));
    return Array.from({ length: most }, (_, i) => byKind.map((k) => k[i]).filter((s) => s !== undefined)).flat();
  };
  return [...turns(all.filter((s) => s.state === 'New')), ...turns(all.filter((s) => s.state !== 'New'))];
}
