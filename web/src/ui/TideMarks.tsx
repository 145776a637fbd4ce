import type { Api } from '../shared/api';
import { phrase, type Phrase, t } from '../shared/words';

type Mark = Api<'AttemptMark'>;

const marks: Record<Mark, { height: number; name: Phrase }> = {
  RightAtOnce: { height: 12, name: phrase('right at once') },
  AfterAnotherTry: { height: 7, name: phrase('after another try') },
  NotYet: { height: 3, name: phrase('not yet') },
  Unanswered: { height: 0, name: phrase('unanswered') },
};
export const markName = (mark: Mark) => t(marks[mark].name);

/** Attempts as tide marks of three heights; unanswered is a point. */
export function TideMarks({ of }: { of: Mark[] }) {
  return (
    <svg
      width={of.length * 7}
      height="13"
      role="img"
      aria-label={of.map((m, i) => `${i + 1} ${markName(m)}`).join(', ')}
    >
      {of.map((m, i) => {
        const height = marks[m].height;
        return height ? (
          <rect key={i} x={i * 7} y={13 - height} width="5" height={height} fill="var(--color-ink)" />
        ) : (
          <circle key={i} cx={i * 7 + 2.5} cy="11" r="1.3" fill="var(--color-ink)" />
        );
      })}
    </svg>
  );
}

/** One attempt by itself, drawn a little larger. */
export function AttemptGlyph({ mark, hidden = false }: { mark: Mark; hidden?: boolean }) {
  const { height } = marks[mark];
  return (
    <svg
      width="12"
      height="14"
      className="inline-block"
      role={hidden ? undefined : 'img'}
      aria-hidden={hidden || undefined}
      aria-label={hidden ? undefined : markName(mark)}
    >
      {height ? (
        <rect x="1" y={13 - height} width="10" height={height + 1} fill="var(--color-ink)" />
      ) : (
        <circle cx="6" cy="11.5" r="2" fill="var(--color-ink)" />
      )}
    </svg>
  );
}
