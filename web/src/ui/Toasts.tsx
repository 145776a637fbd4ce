import { Toaster } from 'sonner';

/** What was done, said at the foot of the page, with Undo where it can be undone. */
export const Toasts = () => (
  <Toaster
    position="bottom-left"
    closeButton
    expand
    toastOptions={{
      unstyled: true,
      classNames: {
        toast:
          'flex w-[min(420px,90vw)] items-center gap-3 rounded-md border border-ink bg-paper px-4 py-3 font-ui ' +
          'text-base text-ink shadow-lift',
        actionButton:
          'ml-auto h-7 flex-none rounded-md border border-overlay bg-overlay px-2.5 text-sm font-semibold text-paper',
        closeButton:
          'order-last inline-grid size-6 flex-none place-content-center rounded-sm text-ink hover:bg-tint ' +
          '[&_svg]:size-3.5',
        icon: 'hidden',
      },
    }}
  />
);
