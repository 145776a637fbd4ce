import { useEffect, useState, type ComponentType } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { t } from './words';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { Empty, Loading } from '../ui/Show';

const notLoaded = (e: unknown) => e instanceof TypeError && /import|module/i.test(e.message);
const every = 4000,
  quiet = 200;

/** What stands in a place that broke, or whose code could not be fetched. */
export function Broken({ error, resetErrorBoundary }: FallbackProps) {
  const missing = notLoaded(error);
  useEffect(() => {
    if (!missing) return;
    const timer = setInterval(resetErrorBoundary, every);
    addEventListener('online', resetErrorBoundary);
    return () => {
      clearInterval(timer);
      removeEventListener('online', resetErrorBoundary);
    };
  }, [missing, resetErrorBoundary]);
  return (
    <Empty alert title={missing ? t('This page has not loaded yet') : t('This page stopped working')}>
      <p>
        {missing
          ? t('No internet. The page opens when it is back. Your work is safe.')
          : t('Your work is safe. Try again or reload the page.')}
      </p>
      <Row>
        <Button onClick={resetErrorBoundary}>{t('Try again')}</Button>
        <Button onClick={() => location.reload()}>{t('Reload page')}</Button>
      </Row>
    </Empty>
  );
}

/** Fetches parts, one after another, while nothing else is to be done: going to one of them then shows it at once. */
export function fetchWhenIdle([next, ...rest]: readonly { fetch: () => Promise<unknown> }[]) {
  if (!next) return;
  const idle = window.requestIdleCallback ?? ((then: () => void) => setTimeout(then, quiet));
  idle(() => {
    // What cannot be fetched now is fetched when it is gone to, and says so there.
    void next.fetch().then(
      () => fetchWhenIdle(rest),
      () => undefined,
    );
  });
}

/**
 * A part of the application that is fetched before or when it is first shown. If it cannot be, or breaks, it says so in
 * its own place and recovers. It waits by itself: a fallback of React's, once shown, stays for a third of a second, and
 * parts stand within parts.
 */
export function part<P extends object = Record<never, never>>(load: () => Promise<{ default: ComponentType<P> }>) {
  let here: ComponentType<P> | null = null;
  const fetch = async () => {
    here = (await load()).default;
    return here;
  };
  function Waiting(props: P) {
    const [Shown, show] = useState(() => here);
    const [missing, miss] = useState<{ error: unknown } | null>(null);
    useEffect(() => {
      if (Shown) return;
      let wanted = true;
      fetch().then(
        (found) => wanted && show(() => found),
        (error: unknown) => wanted && miss({ error }),
      );
      return () => {
        wanted = false;
      };
    }, [Shown]);
    if (missing) throw missing.error;
    return Shown ? <Shown {...props} /> : <Loading />;
  }
  const Part = (props: P) => (
    <ErrorBoundary FallbackComponent={Broken}>
      <Waiting {...props} />
    </ErrorBoundary>
  );
  return Object.assign(Part, { fetch });
}
