import { t } from '../../shared/words';
import { Button } from '../../ui/Button';

/** Which lines alone a list shows, and a way back to all of them. */
export function Narrowed({ to, clear }: { to: readonly (string | false | null | undefined)[]; clear: () => void }) {
  const parts = to.filter(Boolean);
  if (parts.length === 0) return null;
  return (
    <p className="flex items-center gap-3 px-4 py-1.5">
      <span>{t('Only {{parts}}', { parts: parts.join(', ') })}</span>
      <Button size="sm" onClick={clear}>
        {t('Show all lines')}
      </Button>
    </p>
  );
}
