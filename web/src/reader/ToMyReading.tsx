import { ArrowLeft } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { t } from '../shared/words';
import { Button } from '../ui/Button';

/** The way back to a reader's own page; `unfinished` where work goes on later. */
export const ToMyReading = ({ unfinished = false }: { unfinished?: boolean }) => (
  <Button asChild look="plain" size="reader">
    <Link to="/">
      <ArrowLeft size={24} aria-hidden />
      {unfinished ? t('Stop for now') : t('My reading')}
    </Link>
  </Button>
);
