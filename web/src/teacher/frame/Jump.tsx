import { MagnifyingGlass } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState, type KeyboardEvent as Keys } from 'react';
import { useNavigate } from 'react-router';
import { t } from '../../shared/words';
import { SearchField } from '../../ui/TextField';
import type { Place } from './Frame';
import { useTargets, type Target } from './useTargets';

/** Ctrl K: jump to a reader, group, text or place, or begin something. */
export function Jump({ data }: Place) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'k') {
        e.preventDefault();
        setOpen(true);
      }
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger
        className={cx(
          'border-soft bg-paper text-soft mr-3 ml-auto flex h-8 w-80 items-center gap-2 rounded-md',
          'border px-2.5 text-left max-lg:order-9 max-lg:mx-0 max-lg:w-full',
        )}
      >
        <MagnifyingGlass size={16} aria-hidden />
        <span className="min-w-0 grow truncate">{t('Jump to a reader, text or place')}</span>
        <kbd className="flex-none whitespace-nowrap">Ctrl K</kbd>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="bg-ink/35 fixed inset-0 z-20" />
        <Dialog.Content
          className={cx(
            'border-ink bg-paper shadow-lift fixed top-24 left-1/2 z-21 max-h-[70vh]',
            'w-[min(520px,calc(100vw-32px))] -translate-x-1/2 overflow-auto rounded-md border p-4',
          )}
          aria-describedby={undefined}
        >
          <Dialog.Title className="sr-only">{t('Jump to')}</Dialog.Title>
          <Search data={data} close={() => setOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Search({ data, close }: Place & { close: () => void }) {
  const [asked, setAsked] = useState('');
  const [at, setAt] = useState(0);
  const navigate = useNavigate();
  const { found, here, ready, arrive } = useTargets(data, asked.trim());
  const go = (target: Target | undefined) => {
    if (!target) return;
    close();
    void navigate(target.to);
  };
  // Enter may come before the texts do: then it waits for them.
  const waits = useRef('');
  const wait = async () => {
    waits.current = asked;
    const all = await arrive();
    if (waits.current === asked) go(all[at]);
  };
  const keys: Record<string, () => void> = {
    ArrowDown: () => setAt(Math.min(at + 1, found.length - 1)),
    ArrowUp: () => setAt(Math.max(at - 1, 0)),
    Enter: () => {
      if (ready || at < here) go(found[at]);
      else void wait();
    },
  };
  return (
    <>
      <SearchField
        label={t('Jump to')}
        autoFocus
        placeholder={t('Type a name or what to do')}
        value={asked}
        onKeyDown={(e: Keys) => {
          const act = keys[e.key];
          if (!act) return;
          e.preventDefault();
          act();
        }}
        set={(value) => {
          setAsked(value);
          setAt(0);
          waits.current = '';
        }}
      />
      <ul className="mt-2">
        {found.map((x, i) => (
          <li key={x.key}>
            {x.kind !== found[i - 1]?.kind && (
              <h3 className="font-ui text-soft mt-1.5 px-2.5 text-sm font-normal">{x.kind}</h3>
            )}
            <button
              className={cx(
                'hover:bg-tint flex min-h-8 w-full items-center justify-between gap-4 rounded-sm px-2.5 text-left',
                i === at && 'bg-tint',
              )}
              onClick={() => go(x)}
            >
              <span>
                <Matched name={x.name} asked={asked.trim()} />
              </span>
              <span className="text-soft">{x.what}</span>
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-soft">{ready ? t('No matches') : t('Searching…')}</p>}
    </>
  );
}

/** A name with what was typed marked in it. */
function Matched({ name, asked }: { name: string; asked: string }) {
  const from = asked ? name.toLowerCase().indexOf(asked.toLowerCase()) : -1;
  if (from < 0) return name;
  const to = from + asked.length;
  return (
    <>
      {name.slice(0, from)}
      <mark className="bg-depth-2 text-ink rounded-xs">{name.slice(from, to)}</mark>
      {name.slice(to)}
    </>
  );
}
