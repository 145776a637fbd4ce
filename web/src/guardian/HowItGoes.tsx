import { say, t } from '../shared/words';
import { Pool } from '../shared/pool/Pool';
import type { Child } from './child';

/** How it goes: the level in words and in texts, what goes well, what comes next and what helps with it. */
export function HowItGoes({ c }: { c: Child }) {
  const [next] = c.next;
  const [well] = c.well;
  return (
    <section className="border-line border-t">
      <h3>{t('How it goes')}</h3>
      <p>
        {say(c.level)} {say(c.trend)}
      </p>
      <LikeTexts likes={c.likes} />
      {well && (
        <p>
          {t('{{what}} goes well: {{right}} of {{n}} right on the first try.', {
            what: say(well.name),
            right: well.right,
            n: well.asked,
          })}
        </p>
      )}
      {next && (
        <p>
          {t('{{what}} comes next: {{right}} of {{n}} right on the first try.', {
            what: say(next.name),
            right: next.right,
            n: next.asked,
          })}
        </p>
      )}
      {c.atHome && (
        <div className="border-depth-5 mt-3 border-l-3 pl-3.5">
          <p className="font-semibold">{t('What helps at home')}</p>
          <p>{say(c.atHome)}</p>
        </div>
      )}
      {c.pool !== null && c.pool.length > 0 && (
        <figure className="mt-3 max-w-90">
          <Pool
            count={c.pool.length}
            newest
            label={t('{{name}}’s tide pool: {{titles}}', { name: c.givenName, titles: c.pool.join(', ') })}
          />
          <figcaption className="text-soft">
            {t('The tide pool: one thing for each text {{name}} understood this school year.', {
              name: c.givenName,
            })}
          </figcaption>
        </figure>
      )}
    </section>
  );
}

const shades = ['fill-depth-2', 'fill-depth-3', 'fill-depth-4', 'fill-depth-5', 'fill-depth-6'];
const tall = 190;
const apart = 44;
/** What a place takes beneath its line: the text it is like. */
const foot = 22;
const y = (at: number) => 8 + at * (tall - 16);

/** Lines of words beside a place each, in the order of the places and never over one another. */
function spread<T extends { at: number }>(places: T[]) {
  const sorted = [...places].sort((a, b) => a.at - b.at);
  const tops = sorted.map((p) => y(p.at));
  for (let i = 1; i < tops.length; i++) tops[i] = Math.max(tops[i] ?? 0, (tops[i - 1] ?? 0) + apart);
  const over = Math.max(0, (tops.at(-1) ?? 0) - (tall - foot));
  return sorted.map((p, i) => ({ ...p, top: (tops[i] ?? 0) - over }));
}

/** Easy texts above, hard ones below: what was read six weeks ago, what is read now, and where it is to go. */
function LikeTexts({ likes }: { likes: Child['likes'] }) {
  const places = spread(
    [
      { kind: 'then' as const, name: t('Six weeks ago'), of: likes.sixWeeksAgo },
      { kind: 'now' as const, name: t('Now'), of: likes.now },
      { kind: 'goal' as const, name: t('Goal'), of: likes.goal },
    ].flatMap(({ kind, name, of }) => (of ? [{ kind, name, title: of.title, at: of.at }] : [])),
  );
  if (places.length === 0) return null;
  return (
    <svg
      viewBox={`0 0 350 ${tall}`}
      className="my-2 w-full max-w-110"
      role="img"
      aria-label={places.map((p) => t('{{when}}: like {{title}}', { when: p.name, title: p.title })).join(', ')}
    >
      {shades.map((fill, i) => (
        <rect
          key={fill}
          x="8"
          y={1 + (i * (tall - 2)) / shades.length}
          width="14"
          height={(tall - 2) / shades.length}
          className={`stroke-ink ${fill}`}
        />
      ))}
      {places.map((p) => (
        <g key={p.kind}>
          <path d={`M24 ${y(p.at)}h10l8 ${p.top - y(p.at)}h10`} className="stroke-ink fill-none" strokeWidth="1.5" />
          {p.kind === 'goal' ? (
            <rect x="1" y={y(p.at) - 2} width="28" height="4" className="fill-ink" />
          ) : (
            <circle
              cx="15"
              cy={y(p.at)}
              r="7"
              strokeWidth="1.8"
              className={p.kind === 'now' ? 'fill-ink stroke-paper' : 'fill-paper stroke-ink'}
            />
          )}
          <text
            x="60"
            y={p.top - 4}
            className={p.kind === 'then' ? 'fill-soft text-[15px]' : 'fill-ink text-[15px] font-semibold'}
          >
            {p.name}
          </text>
          <text x="60" y={p.top + 15} className="fill-ink font-serif text-[16px] font-semibold">
            {t('like {{title}}', { title: p.title.length > 32 ? `${p.title.slice(0, 31)}…` : p.title })}
          </text>
        </g>
      ))}
    </svg>
  );
}
