import { useState } from 'react';
import { t } from '../../shared/words';
import type { Home } from '../queries';
import { placesIn } from './poolPlaces';
import { things } from './PoolThings';

type Pools = NonNullable<Home['pool']>;
const most = 40;
const width = 150;
const height = 92;

/** One pool, seen from above: what came last has rings around it. */
function Pool({ count, label, newest }: { count: number; label: string; newest: boolean }) {
  const places = placesIn(count, most);
  return (
    <svg
      viewBox="-175 -115 350 230"
      role="img"
      aria-label={label}
      className="text-ink block w-full"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      <ellipse rx="172" ry="112" stroke="none" fill="var(--color-sand)" />
      <ellipse rx="160" ry="102" fill="var(--color-depth-1)" />
      <ellipse rx="128" ry="78" strokeWidth="1" stroke="var(--color-depth-4)" fill="var(--color-depth-2)" />
      <ellipse rx="90" ry="52" stroke="none" fill="var(--color-depth-3)" />
      {places.map((p, i) => (
        <g key={i} transform={`translate(${p.x * width} ${p.y * height}) rotate(${p.turned}) scale(0.82)`}>
          {newest && i === count - 1 && (
            <g strokeWidth="1.2" stroke="var(--color-depth-6)">
              <ellipse rx="30" ry="20" />
              <ellipse rx="40" ry="27" />
            </g>
          )}
          {things[p.kind]}
        </g>
      ))}
    </svg>
  );
}

/** A reader's own pool, which says what came into it. */
const OwnPool = ({ titles }: { titles: string[] }) => (
  <Pool
    count={titles.length}
    newest
    label={titles.length === 0 ? t('My pool is still empty.') : t('My pool: {{titles}}', { titles: titles.join(', ') })}
  />
);

/** What a reader's own pool holds, and that of the class; one thing for each text that was understood. */
export function TidePools({ pool }: { pool: Pools }) {
  const [all, showAll] = useState(false);
  const mine = pool.mine;
  const last = mine?.[mine.length - 1];
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {mine && (
        <figure>
          <OwnPool titles={mine} />
          <figcaption>
            <b>{t('My pool')}</b>{' '}
            {last ? t('Last came in: {{title}}', { title: last }) : t('Each text you understand brings something.')}
            {mine.length > 1 && (
              <button
                type="button"
                className="min-h-11 px-1 underline underline-offset-4"
                onClick={() => showAll(!all)}
              >
                {all ? t('Show less') : t('Show all')}
              </button>
            )}
          </figcaption>
          {all && (
            <ul>
              {mine.map((title, i) => (
                <li key={i}>{title}</li>
              ))}
            </ul>
          )}
        </figure>
      )}
      {pool.ours !== null && (
        <figure>
          <Pool count={pool.ours} newest={false} label={t('The pool of the class')} />
          <figcaption>
            <b>{t('Our pool')}</b>
          </figcaption>
        </figure>
      )}
    </div>
  );
}

/** The pools of the youngest: a voice and a picture, no titles to read. */
export function YoungPools({ pool }: { pool: Pools }) {
  return (
    <div className="grid gap-6 sm:grid-cols-2">
      {pool.mine && <OwnPool titles={pool.mine} />}
      {pool.ours !== null && <Pool count={pool.ours} newest={false} label={t('The pool of the class')} />}
    </div>
  );
}
