import { X } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { Dialog as Radix } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { t } from '../shared/words';
import { Button } from './Button';

/** What had the focus when a window opened; of a menu, the button that opened it. */
function opener() {
  const from = document.activeElement;
  const menu = from?.closest('[role=menu]');
  return menu ? document.querySelector(`[aria-controls="${menu.id}"]`) : from;
}

/** A window over the page: a title that stays in sight, what it is about, and at its foot what can be done. */
export function Dialog({
  title,
  close,
  wide = false,
  children,
}: {
  title: string;
  close: () => void;
  wide?: boolean;
  children: ReactNode;
}) {
  const [from] = useState(opener);
  return (
    <Radix.Root
      open
      onOpenChange={(open) => {
        if (!open) close();
      }}
    >
      <Radix.Portal>
        <Radix.Overlay className="bg-ink/35 fixed inset-0 z-20" />
        <Radix.Content
          aria-describedby={undefined}
          // What is sent in a window is the window's own, also where it was opened within a form.
          onSubmit={(e) => e.stopPropagation()}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            // Where what it came from is gone, the page's title is where to go on from.
            if (from instanceof HTMLElement && from.isConnected) from.focus();
            else document.getElementById('title')?.focus();
          }}
          className={cx(
            'fixed top-1/2 left-1/2 z-21 flex max-h-[calc(100vh-32px)] -translate-1/2 flex-col overflow-auto',
            'border-ink bg-paper shadow-lift rounded-md border',
            wide ? 'w-[min(820px,calc(100vw-32px))]' : 'w-[min(480px,calc(100vw-32px))]',
          )}
        >
          <header className="bg-paper sticky top-0 z-2 flex items-center justify-between gap-3 px-5 pt-3.5 pb-2.5">
            <Radix.Title className="text-xl">{title}</Radix.Title>
            <Radix.Close asChild>
              <Button look="plain" size="sm" square aria-label={t('Close')}>
                <X size={20} aria-hidden />
              </Button>
            </Radix.Close>
          </header>
          <div className="px-5 pb-5">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

/** What can be done in a window: in sight however long it is. What closes it comes first, the action last. */
export function DialogFoot({ children }: { children: ReactNode }) {
  return (
    <div
      className={cx(
        'bg-paper sticky bottom-0 z-2 -mx-5 -mb-5 flex flex-wrap items-center justify-end gap-2 px-5',
        'pt-3 pb-5',
      )}
    >
      {children}
    </div>
  );
}
