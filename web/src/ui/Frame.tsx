import { cx } from 'class-variance-authority';
import type { ComponentProps, ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { Mark } from './Mark';
import { t } from '../shared/words';
import { PageTitle } from './PageTitle';

/** The product's name with its mark. */
export const Brand = ({ to, className }: { to?: string; className?: string }) => {
  const classes = cx(
    'inline-flex items-center gap-2.5 font-serif text-[17px] leading-6 font-semibold tracking-tight ' +
      'whitespace-nowrap no-underline',
    className,
  );
  const inside = (
    <>
      <Mark />
      Deep Current
    </>
  );
  return to ? (
    <Link to={to} className={classes}>
      {inside}
    </Link>
  ) : (
    <p className={classes}>{inside}</p>
  );
};

/** The graduated border of a printed chart, which closes the land at the top of every teacher's page. */
export const Neatline = () => (
  <div
    aria-hidden
    className={cx(
      'border-ink h-1.5 border-y print:hidden',
      'bg-[repeating-linear-gradient(90deg,var(--color-ink)_0_40px,var(--color-paper)_40px_80px)]',
    )}
  />
);

/** A teacher's page: masthead, places, neatline, the work area, and at the bottom the tray. */
export const Frame = ({ children }: { children: ReactNode }) => (
  <div
    className={cx(
      'grid h-screen grid-cols-[minmax(0,1fr)] grid-rows-[48px_38px_6px_minmax(0,1fr)_auto]',
      'print:block print:h-auto print:overflow-visible',
      'overflow-hidden max-lg:h-auto max-lg:min-h-screen max-lg:grid-rows-[auto_auto_6px_1fr_auto]',
      'max-lg:overflow-visible',
    )}
  >
    <SkipLink />
    {children}
  </div>
);

/** By keys, past the masthead and the places to what the page is about. */
const SkipLink = () => (
  <a
    href="#title"
    className={cx(
      'border-ink bg-paper fixed top-2 left-2 z-30 rounded-md border px-3 py-1.5 font-semibold',
      'not-focus:sr-only',
    )}
    onClick={(e) => {
      e.preventDefault();
      document.getElementById('title')?.focus();
    }}
  >
    {t('Skip to content')}
  </a>
);

export const Masthead = ({ children }: { children: ReactNode }) => (
  <header className="bg-sand flex items-center gap-1 pr-3 pl-4 max-lg:flex-wrap max-lg:py-2 print:hidden">
    {children}
  </header>
);

/** The places of the job in its order; the one in use carries a surveyor's point. */
export function Places({
  label,
  places,
}: {
  label: string;
  places: readonly { to: string; name: string; end?: boolean; beside?: ReactNode }[];
}) {
  return (
    <nav aria-label={label} className="bg-sand print:hidden">
      <ul className="flex h-full px-2 max-lg:flex-wrap">
        {places.map((p) => (
          <li key={p.to}>
            <NavLink
              to={p.to}
              end={p.end ?? false}
              className={
                'group flex h-full items-center gap-1.5 px-3 no-underline hover:underline ' +
                'aria-[current=page]:font-bold max-lg:h-9.5'
              }
            >
              <i
                aria-hidden
                className={cx(
                  'border-overlay hidden size-2.75 rounded-full border-[1.5px]',
                  'bg-[radial-gradient(circle,var(--color-overlay)_2px,transparent_2.6px)]',
                  'group-aria-[current=page]:block',
                )}
              />
              {p.name}
              {p.beside}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  );
}

/** The work area, with room for a sheet beside it: the list narrows and is never covered. */
export const Work = ({ sheet, children }: { sheet?: ReactNode; children: ReactNode }) => (
  <main
    data-sheet={sheet ? '' : undefined}
    className={cx(
      'group/work grid min-h-0 grid-cols-[minmax(0,1fr)] print:block',
      sheet && 'lg:grid-cols-[minmax(0,1fr)_444px]',
    )}
  >
    <div className="grid min-h-0 min-w-0 print:block">{children}</div>
    {sheet}
  </main>
);

/** A door of the product: an island in the water, with what is asked for before one comes in. */
export function Door({ title, children, ...rest }: { title: string } & ComponentProps<'section'>) {
  return (
    <main className="bg-depth-2 grid min-h-screen place-items-center px-4 py-8">
      <section
        aria-labelledby="door"
        className="border-ink bg-paper shadow-islet w-[min(440px,100%)] rounded-[14px] border-[1.5px] px-8 pt-6.5 pb-7"
        {...rest}
      >
        <Brand className="mb-3.5" />
        <PageTitle id="door" className="mb-2.5 text-2xl leading-8">
          {title}
        </PageTitle>
        <div className="grid gap-3">{children}</div>
      </section>
    </main>
  );
}
