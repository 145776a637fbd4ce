import { MagnifyingGlass } from '@phosphor-icons/react';
import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { fm } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Place } from './Frame';
import { SearchField } from '../../ui/TextField';

type Target = { key: string; name: string; what: string; to: string };

/** Ctrl K: jump to a reader, a text or a place. */
export function Jump({ data }: Place) {
  const [open, setOpen] = useState(false);
  const [asked, setAsked] = useState('');
  const [at, setAt] = useState(0);
  const client = useQueryClient();
  const navigate = useNavigate();
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
  const base = `/class/${data.id}`;
  const all: Target[] = [
    ...(['Chart', 'Readers', 'Texts', 'Assignments', 'Goals', 'Groups'] as const).map((p) => ({
      key: p,
      name: t(p),
      what: t('place'),
      to: p === 'Chart' ? base : `${base}/${p.toLowerCase()}`,
    })),
    ...data.readers.map((r) => ({
      key: r.id,
      name: `${r.givenName} ${r.familyName}`,
      what: `${t('reader')}, ${fm(r.depth)} fm`,
      to: `${base}/readers/${r.id}`,
    })),
  ];
  const word = asked.trim();
  const options = queryOptions({
    queryKey: keys.library.jump(data.id, word),
    queryFn: () => ok(api.GET('/library', { params: { query: { classId: data.id, q: word } } })),
  });
  const texts = useQuery({ ...options, enabled: open && word.length > 1, placeholderData: keepPreviousData });
  const named = all.filter((x) => x.name.toLowerCase().includes(word.toLowerCase())).slice(0, 6);
  const targets = (rows: Api<'LibraryRow'>[]): Target[] => [
    ...named,
    ...rows.slice(0, 9 - named.length).map((x) => ({
      key: x.id,
      name: x.title,
      what: `${t('text')}, ${x.versions.map((v) => fm(v.depth)).join(' / ')} fm`,
      to: `${base}/texts/${x.id}`,
    })),
  ];
  const found = targets(word.length > 1 ? (texts.data?.rows ?? []) : []);
  const go = (target: Target | undefined) => {
    if (target) {
      setOpen(false);
      setAsked('');
      void navigate(target.to);
    }
  };
  // Enter may come before the texts do: then it waits for them.
  const ready = word.length < 2 || !texts.isFetching;
  const waits = useRef('');
  const wait = async () => {
    waits.current = word;
    const answer = await client.ensureQueryData(options).catch(() => null);
    if (answer && waits.current === word) go(targets(answer.rows)[at]);
  };
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
          <SearchField
            label={t('Jump to')}
            autoFocus
            placeholder={t('Type a name')}
            value={asked}
            onKeyDown={(e) => {
              if (e.key === 'ArrowDown') {
                e.preventDefault();
                setAt(Math.min(at + 1, found.length - 1));
              }
              if (e.key === 'ArrowUp') {
                e.preventDefault();
                setAt(Math.max(at - 1, 0));
              }
              if (e.key === 'Enter') {
                if (ready || at < named.length) go(found[at]);
                else void wait();
              }
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
                <button
                  className={cx(
                    'hover:bg-tint flex min-h-8 w-full items-center justify-between gap-4 rounded-sm px-2.5 text-left',
                    i === at && 'bg-tint',
                  )}
                  onClick={() => go(x)}
                >
                  {x.name} <span className="text-soft">{x.what}</span>
                </button>
              </li>
            ))}
          </ul>
          {found.length === 0 && <p className="text-soft">{t('No matches')}</p>}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
