import type { ComponentProps } from 'react';
import { useTitle } from './useTitle';

/** The heading of a page; the window is called the same. */
export function PageTitle({ children, ...rest }: { children: string } & ComponentProps<'h1'>) {
  useTitle(children || undefined);
  return <h1 {...rest}>{children}</h1>;
}
