import { SpeakerHigh } from '@phosphor-icons/react';
import { t } from '../../shared/words';
import type { useReadAloud } from '../useReadAloud';

/** The speaker that begins every line for those who cannot read yet. */
export const SayButton = ({ text, aloud }: { text: string; aloud: ReturnType<typeof useReadAloud> }) => (
  <button
    type="button"
    aria-pressed={aloud.on}
    aria-label={t('Say “{{text}}”', { text })}
    disabled={!aloud.can}
    onClick={aloud.toggle}
    className={
      'border-ink bg-paper relative z-1 grid size-15 flex-none place-content-center rounded-full border-2 ' +
      'hover:bg-depth-1 aria-pressed:bg-ink aria-pressed:text-paper disabled:border-soft disabled:text-soft ' +
      'aria-pressed:shadow-[0_0_0_4px_var(--color-paper),0_0_0_5.5px_var(--color-ink)]'
    }
  >
    <SpeakerHigh size={36} aria-hidden />
  </button>
);
