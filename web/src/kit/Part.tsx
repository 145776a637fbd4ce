import type { ReactNode } from 'react';

/** Pieces of one kind, under their name. */
export const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="border-line grid gap-3 border-b px-4 py-4" aria-label={title}>
    <h2>{title}</h2>
    {children}
  </section>
);
