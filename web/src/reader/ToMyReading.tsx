import { ArrowLeft } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { t } from '../shared/words';
import { Button } from '../ui/Button';

/** The way back to a reader's own page. */
export const ToMyReading = () => (
  <Button asChild look="plain" size="reader">
    <Link to="/">
      <ArrowLeft size={24} aria-hidden />
      {t('My reading')}
    </Link>
  </Button>
);
