import { Files } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { useMyPapers } from './paperQueries';

/** To the papers that go with a task; nothing where there are none. */
export function PapersLink({ ticketId }: { ticketId: string }) {
  const papers = useMyPapers(ticketId);
  if (!papers.data || papers.data.length === 0) return null;
  return (
    <Button asChild size="reader">
      <Link to={`/papers/${ticketId}`}>
        <Files size={24} aria-hidden />
        {t('Papers')}
      </Link>
    </Button>
  );
}
