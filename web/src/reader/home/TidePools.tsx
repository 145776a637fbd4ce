import { useState } from 'react';
import { t } from '../../shared/words';
import type { Home } from '../queries';
import { Pool } from '../../shared/pool/Pool';

type Pools = NonNullable<Home['pool']>;
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
