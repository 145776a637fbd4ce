import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';

/** Something in the queue that is no written answer. */
export const OtherItem = ({ icon, chosen, children }: { icon: ReactNode; chosen?: boolean; children: ReactNode }) => (
  <li className={cx('border-line grid grid-cols-[20px_1fr] gap-x-3 border-t px-4 py-2.5', chosen && 'bg-tint')}>
    {icon}
    <div className="grid">{children}</div>
  </li>
);
