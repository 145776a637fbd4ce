import { ArrowSquareOut } from '@phosphor-icons/react';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { TaskError } from './TaskError';
import { useReply, type Task } from './useTask';

/** Something elsewhere: the link, and the word that it is done. */
export function LinkTask({ task }: { task: Task }) {
  const { handIn, error, busy } = useReply(task);
  return (
    <>
      <p>{t('This opens a page outside Deep Current: {{host}}.', { host: new URL(task.url).host })}</p>
      <Row>
        <Button asChild size="reader">
          <a href={task.url} target="_blank" rel="noopener noreferrer">
            <ArrowSquareOut size={24} aria-hidden />
            {t('Open link')}
          </a>
        </Button>
        <Button look="main" size="reader" disabled={busy} onClick={() => void handIn()}>
          {t('I have done it')}
        </Button>
      </Row>
      <TaskError>{error}</TaskError>
    </>
  );
}
