import type { ReactNode } from 'react';
import { sentence } from './api';
import { t } from './words';

/** What stands in a place while it loads, or when it could not. */
export function Loading() {
  return (
    <div className="loading" role="status">
      <span className="hide">{t('Loading')}</span>
      <i />
    </div>
  );
}

export function Failed({ error, again }: { error: unknown; again: () => void }) {
  return (
    <div className="empty" role="alert">
      <h2>{t('This could not be shown')}</h2>
      <p>{sentence(error)}</p>
      <button className="btn" onClick={again}>
        {t('Try again')}
      </button>
    </div>
  );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="empty">
      <h2>{title}</h2>
      {children}
    </div>
  );
}

type Query<T> = { data: T | undefined; error: unknown; refetch: () => unknown };
/** Shows a query's data, or what there is instead. */
export function Show<T>({ query, children }: { query: Query<T>; children: (data: T) => ReactNode }) {
  if (query.data !== undefined) return <>{children(query.data)}</>;
  return query.error ? <Failed error={query.error} again={() => void query.refetch()} /> : <Loading />;
}
