import type { Api } from '../../shared/api';
import { say, t } from '../../shared/words';
import { Notice } from '../../ui/Page';

/** What stands out before something is given. */
export function LookFirst({ notes = [], said = [] }: { notes: Api<'Message'>[] | undefined; said?: string[] }) {
  const all = [...said, ...notes.map((note) => say(note))];
  if (all.length === 0) return null;
  return (
    <Notice kind="action" aria-label={t('Look at this first')}>
      <ul className="grid gap-1">
        {all.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
    </Notice>
  );
}
