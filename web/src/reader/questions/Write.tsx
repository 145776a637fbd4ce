import { t } from '../../shared/words';
import { draftKey, type Widget } from './draft';
import { ways } from './kinds';
import { Written } from '../../ui/Reader';

const longest = 4000;

/** An answer in the reader's own words. */
export function Write({ q, draft, setDraft, open, heading, ticketId }: Widget & { ticketId: string }) {
  const written = open ? draft.words : (q.attempts.at(-1)?.words ?? '');
  if (!open) return <Written>{written}</Written>;
  const write = (words: string) => {
    setDraft({ ...draft, words });
    localStorage.setItem(draftKey(ticketId, q), words);
  };
  return (
    <div className="[&_textarea]:text-[inherit]">
      <textarea
        aria-labelledby={heading}
        rows={ways[q.kind].lines}
        maxLength={longest}
        value={written}
        onChange={(e) => write(e.target.value)}
      />
      <p className="text-soft">{t('{{count}} words', { count: written.split(/\s+/).filter(Boolean).length })}</p>
    </div>
  );
}
