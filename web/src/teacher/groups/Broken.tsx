import { say, t } from '../../shared/words';
import type { Judged } from './plan';

/** Rules that groups made by hand do not keep; they can be saved all the same. */
export const Broken = ({ judged }: { judged: Judged }) => (
  <div role="status" className="border-overlay bg-tint rounded-md border px-2.5 py-1.5 text-sm">
    <b>{t('Against the rules:')}</b> {judged.broken.map((b) => say(b)).join('; ')}
  </div>
);
