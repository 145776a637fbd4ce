import { useSyncExternalStore } from 'react';
import { t } from '../../shared/words';
import type { Measured } from './Why';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';

// What has been taught so far is the teacher's own, the same for every early text, and stays on the device.
const name = 'dc-taught';
const listeners = new Set<() => void>();
let text: string | null = null,
  keys: string[] = [];
const read = () => {
  const now = localStorage.getItem(name);
  if (now !== text) {
    text = now;
    try {
      keys = JSON.parse(now ?? '[]') as string[];
    } catch {
      keys = [];
    }
  }
  return keys;
};
const teach = (next: string[]) => {
  localStorage.setItem(name, JSON.stringify(next));
  listeners.forEach((l) => l());
};

/** Keys of the letter–sound patterns taught so far. */
export const useTaught = () =>
  useSyncExternalStore((l) => {
    listeners.add(l);
    return () => listeners.delete(l);
  }, read);

/** The letter–sound patterns of an early text: those that were taught are ticked, and the words that break them are named. */
export function Patterns({ m }: { m: Measured }) {
  const taught = useTaught();
  if (m.patterns.length === 0) return null;
  const toggle = (key: string) => teach(taught.includes(key) ? taught.filter((k) => k !== key) : [...taught, key]);
  return (
    <details open={taught.length > 0}>
      <summary>{t('Letter–sound patterns ({{n}})', { n: m.patterns.length })}</summary>
      <p className="text-soft text-sm">
        {t('Tick what has been taught to see which words do not fit.')}{' '}
        {taught.length > 0 && (
          <Button size="sm" onClick={() => teach([])}>
            {t('Clear all')}
          </Button>
        )}
      </p>
      {taught.length > 0 && (
        <p className="text-sm" role="status">
          {m.breaks.length === 0 ? (
            t('Every word fits what was taught.')
          ) : (
            <>
              <b>{t('{{count}} words do not fit:', { count: m.breaks.length })}</b>{' '}
              {m.breaks.map((b) => `${b.word} (${b.needs.join(', ')})`).join(', ')}
            </>
          )}
        </p>
      )}
      <dl className="[&_dt]:font-semibold [&>div]:grid [&>div]:grid-cols-[130px_1fr] [&>div]:text-sm">
        {m.patterns.map((p) => (
          <div key={p.key}>
            <dt>
              <Checkbox checked={taught.includes(p.key)} set={() => toggle(p.key)}>
                {p.name} <span className="text-soft">{p.times}</span>
              </Checkbox>
            </dt>
            <dd>{p.words.join(', ')}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
