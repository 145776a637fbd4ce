import { MagnifyingGlass } from '@phosphor-icons/react';
import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { fm } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Place } from './Frame';

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
    ...['Chart', 'Readers', 'Texts', 'Assignments', 'Goals', 'Groups'].map((p) => ({
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
      <Dialog.Trigger className="jump">
        <MagnifyingGlass size={16} aria-hidden />
        <span>{t('Jump to a reader, text or place')}</span>
        <kbd>Ctrl K</kbd>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="veil" />
        <Dialog.Content className="dialog jumpto" aria-describedby={undefined}>
          <Dialog.Title className="hide">{t('Jump to')}</Dialog.Title>
          <input
            type="search"
            autoFocus
            aria-label={t('Jump to')}
            placeholder={t('Type a name')}
            value={asked}
            onChange={(e) => {
              setAsked(e.target.value);
              setAt(0);
              waits.current = '';
            }}
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
          />
          <ul>
            {found.map((x, i) => (
              <li key={x.key}>
                <button className={i === at ? 'item on' : 'item'} onClick={() => go(x)}>
                  {x.name} <span className="soft">{x.what}</span>
                </button>
              </li>
            ))}
          </ul>
          {found.length === 0 && <p className="soft">{t('Nothing here has that name.')}</p>}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
