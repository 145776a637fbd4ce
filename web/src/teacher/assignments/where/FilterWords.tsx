import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { phrase, t, type Phrase } from '../../../shared/words';
import { Buoy } from '../../../ui/Buoy';
import { LateMark, StateMark } from '../../../ui/StateMark';
import { filters, type Filter, type PlacesData } from './places';

const cross = 'M4 .5l6 5M10 .5l-6 5';

const words: Record<Filter, { mark: ReactNode; word: Phrase }> = {
  Waiting: { mark: <StateMark state="Waiting" bare />, word: phrase('not opened') },
  UnderWay: { mark: <StateMark state="UnderWay" bare />, word: phrase('under way') },
  Done: { mark: <StateMark state="Released" bare />, word: phrase('handed in') },
  ToMark: { mark: <StateMark state="ToMark" bare />, word: phrase('to mark') },
  SentBack: { mark: <StateMark state="SentBack" bare />, word: phrase('sent back') },
  TakenBack: { mark: <StateMark state="TakenBack" bare />, word: phrase('taken back') },
  Closed: { mark: <StateMark state="Closed" bare />, word: phrase('closed') },
  Late: { mark: <LateMark bare />, word: phrase('late') },
  TooFast: { mark: <Buoy topmark={cross} />, word: phrase('too fast') },
};

/** The key, and what each counts: pressed, a word picks those it counts. */
export function FilterWords({
  d,
  those,
  filter,
  pick,
}: {
  d: PlacesData;
  those: (f: Filter) => ReadonlySet<string>;
  filter: Filter | null;
  pick: (f: Filter) => void;
}) {
  const readersOf = (ids: ReadonlySet<string>) =>
    new Set(d.places.filter((k) => ids.has(k.id)).map((k) => k.readerId)).size;
  return (
    <div role="group" aria-label={t('Pick by state')} className="flex flex-wrap gap-1 px-4 pb-1.5">
      {filters.map((f) => {
        const ids = those(f);
        return (
          <button
            key={f}
            type="button"
            aria-pressed={filter === f}
            disabled={ids.size === 0}
            title={t('{{count}} readers', { count: readersOf(ids) })}
            onClick={() => pick(f)}
            className={cx(
              'disabled:text-soft inline-flex h-7 items-center gap-1.5 rounded-md border px-2 text-sm',
              filter === f ? 'border-overlay bg-tint' : 'enabled:hover:border-soft border-transparent',
            )}
          >
            {words[f].mark} {ids.size} {t(words[f].word)}
          </button>
        );
      })}
    </div>
  );
}
