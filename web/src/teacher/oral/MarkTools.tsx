import { ArrowCounterClockwise } from '@phosphor-icons/react';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { kinds, letterOf, type Kind } from './marks';
import { kindNames } from './SheetLines';

/** What a tap marks, where the reading stops, and the last mark undone; each with its key. */
export function MarkTools({
  tool,
  setTool,
  goesOn,
  endHere,
  undo,
  done,
}: {
  tool: Kind;
  setTool: (kind: Kind) => void;
  goesOn: boolean;
  endHere: () => void;
  /** Null where there is nothing to undo. */
  undo: (() => void) | null;
  /** Nothing is marked in a record that is finished. */
  done: boolean;
}) {
  return (
    <div
      className="border-line bg-sand flex flex-wrap gap-1 border-b px-4 py-2"
      role="group"
      aria-label={t('A tap marks')}
    >
      {kinds.map((k) => (
        <Button key={k} disabled={done} aria-pressed={tool === k} onClick={() => setTool(k)}>
          {t(kindNames[k])} <kbd>{letterOf[k]}</kbd>
        </Button>
      ))}
      <Button look="plain" disabled={done} onClick={endHere}>
        {goesOn ? t('stops here') : t('goes on')} <kbd>E</kbd>
      </Button>
      <Button look="plain" disabled={done || !undo} onClick={() => undo?.()}>
        <ArrowCounterClockwise size={16} aria-hidden />
        {t('Undo')} <kbd>Z</kbd>
      </Button>
    </div>
  );
}
