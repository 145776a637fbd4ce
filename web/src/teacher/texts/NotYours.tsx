import { Link } from 'react-router';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Empty } from '../../ui/Show';

/** What stands where somebody may look at a text and not change it. */
export const NotYours = ({ to, title }: { to: string; title: string }) => (
  <Empty title={title}>
    <p>{t('Duplicate the text to edit it and its quiz.')}</p>
    <Button asChild look="main">
      <Link to={to}>{t('To the text')}</Link>
    </Button>
  </Empty>
);
