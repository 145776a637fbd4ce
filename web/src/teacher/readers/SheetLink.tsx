import type { ComponentProps } from 'react';
import { Link, useSearchParams } from 'react-router';

/** Opens a reader's sheet over the page as it is: what else its address says stays. */
export function SheetLink({ readerId, ...rest }: Omit<ComponentProps<typeof Link>, 'to'> & { readerId: string }) {
  const [search] = useSearchParams();
  const next = new URLSearchParams(search);
  next.set('reader', readerId);
  return <Link to={`?${next}`} {...rest} />;
}
