import { Bell as Shape } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { NavLink } from 'react-router';
import { t } from '../../shared/words';
import { Waiting } from '../../ui/Shapes';
import type { ClassData } from '../classQueries';

/** Leads to the signals, with how many are new. */
export function Bell({ data }: { data: ClassData }) {
  const fresh = [...data.signals, ...data.readers.flatMap((r) => r.signals)].filter((s) => s.state === 'New').length;
  return (
    <NavLink
      to={`/class/${data.id}/signals`}
      className={cx(
        'hover:bg-depth-1 aria-[current=page]:bg-tint',
        'inline-flex h-7.5 items-center gap-1.5 rounded-md px-2.5 font-semibold no-underline',
      )}
    >
      <Shape size={20} aria-hidden />
      {t('Signals')}
      {fresh > 0 && <Waiting n={fresh} what={t('new')} />}
    </NavLink>
  );
}
