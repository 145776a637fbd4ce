import { BookmarkSimple, X } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import type { Work } from '../queries';
import { HearThis } from '../questions/Hear';
import { AtHome } from './AtHome';
import { useKept } from './useKept';

/** What a tapped word means, with a sentence that has it. */
export function WordCard({
  word,
  ticketId,
  close,
}: {
  word: Work['words'][number];
  ticketId: string;
  close: () => void;
}) {
  const kept = useKept();
  const there = kept.words.some((w) => w.text === word.text);
  return (
    <aside
      className={cx(
        'border-overlay bg-paper shadow-lift [&_p]:font-first [&_h2]:font-first z-3 w-72.5 rounded-md',
        'border-2 px-5 pt-3 pb-5 max-md:relative md:absolute md:top-30 md:left-240 [&_h2]:flex',
        '[&_h2]:items-center [&_h2]:gap-2 [&_h2]:text-2xl [&_h2]:leading-11',
      )}
      aria-label={t('The word {{word}}', { word: word.text })}
    >
      <h2>
        {word.text} <HearThis text={word.text} />
      </h2>
      <button
        className="hover:bg-tint absolute top-2 right-1.5 grid size-11 place-content-center rounded-md"
        aria-label={t('Close word card')}
        onClick={close}
      >
        <X size={24} aria-hidden />
      </button>
      <p>{word.meaning}</p>
      <AtHome meaning={word.atHome} />
      <p className="border-line mt-2 mb-3 border-t pt-2">{word.example}</p>
      <Button
        look={there ? undefined : 'main'}
        size="reader"
        className="w-full"
        aria-pressed={there}
        // Until it is known whether the word is kept, neither is offered.
        disabled={kept.asked.isLoading}
        onClick={() => void (there ? kept.letGo(word.text) : kept.keep(ticketId, word))}
      >
        <BookmarkSimple size={24} weight={there ? 'fill' : 'regular'} aria-hidden />
        {there ? t('Kept') : t('Keep this word')}
      </Button>
    </aside>
  );
}
