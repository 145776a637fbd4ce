import { homeOf, inOwnWords } from '../../shared/language';
import { useSession } from '../../shared/session';
import { t } from '../../shared/words';
import { HearThis } from '../questions/Hear';

/** What a word means in the language of the home, to read and to hear; where nobody has said it yet, that is said. */
export function AtHome({ meaning }: { meaning: string | null }) {
  const language = useSession().data?.language ?? null;
  const home = homeOf(language);
  if (meaning === null || language === null) return null;
  if (meaning === '')
    return <p className="text-soft">{t('Not yet in {{language}}.', { language: inOwnWords[home] })}</p>;
  return (
    <p lang={home} className="flex items-center gap-1">
      {meaning} <HearThis text={meaning} language={language} />
    </p>
  );
}
