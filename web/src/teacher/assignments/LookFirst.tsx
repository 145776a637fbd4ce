import type { Api } from '../../shared/api';
import { say, t } from '../../shared/words';
import { Notice } from '../../ui/Page';

/** What stands out before something is given. */
export function LookFirst({ notes = [] }: { notes: Api<'Message'>[] | undefined }) {
  if (notes.length === 0) return null;
  return (
    <Notice kind="action" aria-label={t('Look at this first')}>
      <ul className="grid gap-1">
        {notes.map((note) => (
          <li key={say(note)}>{say(note)}</li>
        ))}
      </ul>
    </Notice>
  );
}
