import { X } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { useEffect, useRef, type ReactNode } from 'react';
import { t } from '../shared/words';
import { IconButton } from './IconButton';

/** A sheet beside the list it belongs to: Esc closes it, and the focus goes back to where it came from. */
export function Sheet({
  title,
  head,
  close,
  children,
}: {
  title: string;
  head: ReactNode;
  close: () => void;
  children: ReactNode;
}) {
  const sheet = useRef<HTMLElement>(null);
  const shut = useRef(close);
  useEffect(() => {
    shut.current = close;
  });
  useEffect(() => {
    const from = document.activeElement;
    sheet.current?.focus({ preventScroll: true });
    const onKey = (e: KeyboardEvent) => {
      if (
        e.key === 'Escape' &&
        !e.defaultPrevented &&
        !document.querySelector('[role=dialog],[role=menu],[role=listbox]')
      )
        shut.current();
    };
    addEventListener('keydown', onKey);
    return () => {
      removeEventListener('keydown', onKey);
      if (from instanceof HTMLElement && from.isConnected) from.focus({ preventScroll: true });
    };
  }, []);
  return (
    <aside
      ref={sheet}
      tabIndex={-1}
      aria-label={title}
      className={cx(
        'border-ink bg-paper shadow-lift z-10 flex min-h-0 flex-col overflow-auto border-l outline-none',
        'max-lg:fixed max-lg:inset-y-0 max-lg:right-0 max-lg:w-[min(444px,100vw)]',
      )}
    >
      <header
        className={cx(
          'border-overlay bg-tint sticky top-0 z-2 flex items-start gap-0.5 border-b py-1.5 pr-2.5',
          'pl-4.5',
        )}
      >
        <div className="grow">{head}</div>
        <IconButton look="plain" label={t('Close')} onClick={close}>
          <X size={20} aria-hidden />
        </IconButton>
      </header>
      {children}
    </aside>
  );
}

/** A part of a sheet. */
export const SheetPart = ({ children }: { children: ReactNode }) => (
  <section className="border-line grid flex-none gap-1.5 border-b px-4.5 py-3">{children}</section>
);

/** What can be done with what a sheet shows: in sight however long it is. */
export const SheetFoot = ({ children }: { children: ReactNode }) => (
  <div className="bg-sand border-ink sticky bottom-0 mt-auto grid grid-cols-2 gap-2 border-t px-4.5 py-3">
    {children}
  </div>
);
