import { Button } from '../ui/Button';
import { chooseLanguage, inOwnWords, languageOf, otherThan } from './language';
import type { Session } from './session';

/** Where the home speaks another language than English: the way to the other of the two, on this device. */
export function LanguageSwitch({ session, size }: { session: Session; size?: 'reader' }) {
  const other = otherThan(languageOf(session), session.language);
  if (!other) return null;
  return (
    <Button
      look="plain"
      size={size}
      lang={other}
      onClick={() => {
        chooseLanguage(other);
        location.reload();
      }}
    >
      {inOwnWords[other]}
    </Button>
  );
}
