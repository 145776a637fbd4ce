import { cx } from 'class-variance-authority';
/** Pages or questions as knots on a lead line: the reader goes down as the text goes on. */
export function LeadLine({
  label,
  title,
  knots,
  here,
  go,
}: {
  label: string;
  title: string;
  knots: { name: string; done: boolean }[];
  here: number;
  go: (i: number) => void;
}) {
  return (
    <nav
      aria-label={label}
      className={cx(
        'z-2 w-26 text-center leading-6 group-data-peeking/water:left-2.5 max-md:w-auto',
        'max-md:max-w-full md:absolute md:top-1/2 md:left-8.5 md:-translate-y-1/2',
      )}
    >
      <p className="mb-2.5 font-semibold">{title}</p>
      <ol
        className={cx(
          'before:bg-ink after:bg-ink relative mx-auto w-11 before:absolute before:-top-1.5',
          'before:-bottom-4 before:left-[21px] before:w-0.5 after:absolute after:-bottom-10',
          'after:left-3.5 after:h-6.5 after:w-4 after:[clip-path:polygon(50%_0,100%_100%,0_100%)]',
          'max-md:flex max-md:w-auto max-md:max-w-full max-md:overflow-x-auto max-md:before:hidden',
          'max-md:after:hidden',
        )}
      >
        {knots.map((k, i) => (
          <li key={i} className="relative flex-none">
            <button
              aria-label={k.name}
              aria-current={i === here ? 'step' : undefined}
              onClick={() => go(i)}
              className="grid h-12 w-11 place-content-center"
            >
              <i
                className={
                  i === here
                    ? 'border-overlay size-5 rounded-full border-3 ' +
                      'bg-[radial-gradient(circle,var(--color-overlay)_4px,var(--color-paper)_5px)]'
                    : `border-ink size-3.5 rounded-full border-2 ${k.done ? 'bg-ink' : 'bg-paper'}`
                }
              />
            </button>
          </li>
        ))}
      </ol>
    </nav>
  );
}
