import type { Work } from '../queries';
import { Choose } from './Choose';
import type { Widget } from './draft';
import { PickSentence } from './PickSentence';
import { PutInOrder } from './PutInOrder';
import { PutTogether } from './PutTogether';

/** The way to answer a question that is answered by tapping, whatever its kind. */
export function Picking({ oneAtATime, text, ...shared }: Widget & { oneAtATime: boolean; text: Work['sentences'] }) {
  switch (shared.q.kind) {
    case 'Single':
    case 'Multiple':
      return <Choose key={shared.q.attempts.length} {...shared} oneAtATime={oneAtATime} />;
    case 'Order':
      return <PutInOrder {...shared} />;
    case 'Match':
      return <PutTogether {...shared} />;
    case 'Sentence':
      return <PickSentence {...shared} text={text} />;
    default:
      return null;
  }
}
