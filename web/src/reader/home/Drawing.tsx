import { cx } from 'class-variance-authority';
import {
  Book,
  Cards,
  Link as LinkIcon,
  ListChecks,
  Microphone,
  PencilLine,
  Question,
  type Icon,
} from '@phosphor-icons/react';
import { TextDrawing } from '../../shared/TextDrawing';
import type { TaskKind } from '../../shared/taskKinds';
import type { MyTicket } from '../queries';

const icons: Record<TaskKind, Icon> = {
  Text: Book,
  Quiz: Question,
  Recording: Microphone,
  Written: PencilLine,
  Words: Cards,
  Link: LinkIcon,
  LevelCheck: ListChecks,
};

/** The picture of a text; where it has none, a sign of what there is to do. */
export function Drawing({ of: k, className }: { of: MyTicket; className: string }) {
  const Sign = icons[k.kind];
  const sign = (
    <span className={cx('bg-depth-1 grid place-content-center', className)}>
      <Sign size={72} weight="light" aria-hidden />
    </span>
  );
  if (!k.picture || !k.textId) return sign;
  return <TextDrawing textId={k.textId} shows={k.picture} className={cx('object-cover', className)} instead={sign} />;
}
