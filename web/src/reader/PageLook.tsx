import { DropHalf, Rows, TextAa } from '@phosphor-icons/react';
import { useState } from 'react';
import { sure } from '../shared/sure';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { letters } from './queries';

const tints = ['paper', 'sea', 'sand', 'plain'] as const;
type Tint = (typeof tints)[number];
type Font = 'first' | 'serif';

/** How a reader wants the page, kept on the device. */
export function usePageLook(depth: number) {
  const [font, setFont] = useState(() => (localStorage.getItem('dc-letters') as Font | null) ?? letters(depth));
  const [tint, setTint] = useState(() => (localStorage.getItem('dc-page') as Tint | null) ?? 'paper');
  const [guide, setGuide] = useState(false);
  return {
    font,
    tint,
    guide,
    setGuide,
    setFont: (next: Font) => {
      setFont(next);
      localStorage.setItem('dc-letters', next);
    },
    setTint: (next: Tint) => {
      setTint(next);
      localStorage.setItem('dc-page', next);
    },
  };
}

/** The page's letters, its colour, a guide along the lines. */
export function PageLook({ of }: { of: ReturnType<typeof usePageLook> }) {
  return (
    <div className="flex gap-2 max-md:flex-wrap">
      <Button size="reader" onClick={() => of.setFont(of.font === 'first' ? 'serif' : 'first')}>
        <TextAa size={24} aria-hidden />
        {t('Font')}
      </Button>
      <Button size="reader" onClick={() => of.setTint(sure(tints[(tints.indexOf(of.tint) + 1) % tints.length]))}>
        <DropHalf size={24} aria-hidden />
        {t('Page colour')}
      </Button>
      <Button size="reader" aria-pressed={of.guide} onClick={() => of.setGuide(!of.guide)}>
        <Rows size={24} aria-hidden />
        {t('Line guide')}
      </Button>
    </div>
  );
}
