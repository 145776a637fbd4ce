import type { Stage, View } from './checkQueries';
import type { StageWork } from './useStage';

/** What a part of a check is drawn from; peek: whether the text is open beside a question. */
export interface StageProps {
  check: View;
  stage: Stage;
  work: StageWork;
  peek: boolean;
  setPeek: (open: boolean) => void;
}
