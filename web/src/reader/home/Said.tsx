import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { pageVoice } from '../../shared/language';
import { useReadAloud } from '../useReadAloud';
import { SayButton } from './SayButton';

/** Words with the spoken one marked. */
function Words({ text, at }: { text: string; at: number | null }) {
  let from = 0;
  return text.split(/(\s+)/).map((part, i) => {
    const start = from;
    from += part.length;
    const now = at !== null && at >= start && at < from && part.trim() !== '';
    return (
      <span key={i} className={cx(now && 'bg-ink text-paper -mx-1 rounded-md px-1 py-0.5')}>
        {part}
      </span>
    );
  });
}

/** A line that can be heard: its speaker first, then its words; or something else that says the same. */
export function Said({
  text,
  ofText = false,
  className,
  children,
}: {
  text: string;
  /** It is what a text is called or says, and not the page's own. */
  ofText?: boolean;
  className?: string;
  children?: (words: ReactNode) => ReactNode;
}) {
  const aloud = useReadAloud(text, ofText ? 'English' : pageVoice());
  const words = <Words text={text} at={aloud.word} />;
  return (
    <div className={cx('flex items-center gap-3.5', className)}>
      <SayButton text={text} aloud={aloud} />
      {children ? children(words) : <span>{words}</span>}
    </div>
  );
}
