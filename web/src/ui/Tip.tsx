import { Tooltip } from 'radix-ui';
import type { ReactElement } from 'react';

/** What something is, said beside it when it is pointed at or has the focus. */
export function Tip({ text, children }: { text: string; children: ReactElement }) {
  return (
    <Tooltip.Provider delayDuration={500}>
      <Tooltip.Root>
        <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            aria-hidden
            sideOffset={4}
            className="bg-ink text-paper z-40 max-w-70 rounded-sm px-2 py-1 text-sm"
          >
            {text}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
