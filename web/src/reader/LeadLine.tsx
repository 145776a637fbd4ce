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
    <nav className="leadline" aria-label={label}>
      <p>{title}</p>
      <ol>
        {knots.map((k, i) => (
          <li key={i} className={k.done ? 'done' : undefined}>
            <button aria-label={k.name} aria-current={i === here ? 'step' : undefined} onClick={() => go(i)} />
          </li>
        ))}
      </ol>
    </nav>
  );
}
