import { directionsOf } from '../shared/directions';
import { t } from '../shared/words';
import { Directions } from '../ui/Reader';
import { HearWords } from './questions/Hear';

/** What the teacher asks, in the language of the page where it exists in it. */
export function DirectionsOf({ of }: { of: Parameters<typeof directionsOf>[0] }) {
  const { words, inEnglishOnly, language } = directionsOf(of);
  if (!words) return null;
  return (
    <>
      <Directions>
        {words}
        {inEnglishOnly && <span className="text-soft block">{t('In English only.')}</span>}
      </Directions>
      <HearWords words={words} language={language} />
    </>
  );
}
