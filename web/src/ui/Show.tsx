import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { sentence } from '../shared/api';
import { t } from '../shared/words';
import { Button } from './Button';

/** What stands in a place while it loads. */
export function Loading() {
  return (
    <div className="grid min-h-40 place-items-center" role="status">
      <span className="sr-only">{t('Loading')}</span>
      <i
        className={cx(
          'animate-drift border-ink h-1.5 w-24 border',
          'bg-[repeating-linear-gradient(90deg,var(--color-ink)_0_12px,var(--color-paper)_12px_24px)]',
          'bg-size-[24px_100%]',
        )}
      />
    </div>
  );
}

/** A place with nothing in it: what will stand there, and the one next step. */
export function Empty({ title, alert = false, children }: { title: string; alert?: boolean; children?: ReactNode }) {
  return (
    <div
      role={alert ? 'alert' : undefined}
      className="mx-auto grid max-w-115 content-center justify-items-center gap-2.5 px-6 py-12 text-center"
    >
      <h2>{title}</h2>
      {children}
    </div>
  );
}

export function Failed({ error, again }: { error: unknown; again: () => void }) {
  return (
    <Empty title={t('This could not be shown')} alert>
      <p>{sentence(error)}</p>
      <Button onClick={again}>{t('Try again')}</Button>
    </Empty>
  );
}

type Query<T> = { data: T | undefined; error: unknown; refetch: () => unknown };

/** Shows a query's data, or what there is instead. */
export function Show<T>({ query, children }: { query: Query<T>; children: (data: T) => ReactNode }) {
  if (query.data !== undefined) return <>{children(query.data)}</>;
  return query.error ? <Failed error={query.error} again={() => void query.refetch()} /> : <Loading />;
}
