import type { Api } from './api';
import { locale, pageVoice } from './language';

interface Said {
  directions: string;
  homeDirections: string;
  homeLanguage: string;
}

/** Directions in the language that is read here, where they exist in it; with a word on it where they do not. */
export function directionsOf(k: Said): { words: string; inEnglishOnly: boolean; language: Api<'Language'> } {
  const here = locale().slice(0, 2);
  if (k.homeDirections && k.homeLanguage === here)
    return { words: k.homeDirections, inEnglishOnly: false, language: pageVoice() };
  return { words: k.directions, inEnglishOnly: k.directions !== '' && here !== 'en', language: 'English' };
}
