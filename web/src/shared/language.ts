import i18next from 'i18next';
import en from 'virtual:language/en';
import type { Api } from './api';
import { chosenLanguage } from './deviceKeys';

/** Adds what English must choose between on the pages of staff. */
export const addEnglish = (more: Record<string, string>) =>
  i18next.addResourceBundle('en', 'translation', more, true, true);

/** A language the pages speak, as its file is called; xa is English made longer, to see whether the pages hold it. */
export type Language = 'en' | 'es' | 'xa';

const written: Record<Language, string> = { en: 'en-GB', es: 'es', xa: 'en-GB' };
const byName: Record<Api<'Language'>, Exclude<Language, 'xa'>> = { English: 'en', Spanish: 'es' };
const isLanguage = (code: string | null | undefined): code is Language => code != null && code in written;

const accents: Record<string, string> = {
  a: 'á',
  e: 'é',
  i: 'í',
  o: 'ó',
  u: 'ú',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
};
/** A sentence as long as another language might make it: two fifths more, with accents above and below the line. */
export const lengthened = (sentence: string) => {
  const longer = sentence.replace(/[aeiouAEIOU]/g, (letter) => accents[letter] ?? letter);
  return `${longer}${' ģjxé'.repeat(Math.ceil(sentence.length / 12))}`;
};

void i18next.use({ type: 'postProcessor', name: 'lengthened', process: (value: string) => lengthened(value) }).init({
  lng: 'en',
  fallbackLng: 'en',
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false },
  // The English sentence is its own key; the file holds only what English itself must choose between.
  resources: { en: { translation: en } },
  initAsync: false,
});

const load: Partial<Record<Language, () => Promise<{ default: Record<string, string> }>>> = {
  es: () => import('virtual:language/es'),
};

/** The language somebody reads in: what was chosen on this device, else their own, else the device's. */
export function languageOf(session: Pick<Api<'SessionView'>, 'role' | 'language'>): Language {
  const chosen = localStorage.getItem(chosenLanguage);
  if (chosen === 'xa') return 'xa';
  // Teachers' pages speak English so far.
  if (session.role === 'Teacher') return 'en';
  if (isLanguage(chosen)) return chosen;
  if (session.language) return byName[session.language];
  const device = navigator.language.slice(0, 2);
  return isLanguage(device) ? device : 'en';
}

/** Each language as it calls itself. */
export const inOwnWords: Record<Exclude<Language, 'xa'>, string> = { en: 'English', es: 'Español' };

/** The one language besides English that homes are written to in. */
export const otherHomeLanguage = 'es' satisfies Language;

/** The other language of a home that speaks two; null where it speaks English alone. */
export const otherThan = (here: Language, home: Api<'Language'> | null) =>
  home === null || home === 'English' || here === 'xa' ? null : here === 'en' ? byName[home] : 'en';

/** The language of a home, by its code. */
export const homeOf = (home: Api<'Language'> | null) => (home === null ? 'en' : byName[home]);

export const chooseLanguage = (language: Language) => localStorage.setItem(chosenLanguage, language);
/** What one child chose is not for the next one on the device. */
export const forgetLanguage = () => localStorage.removeItem(chosenLanguage);

/** Speaks a language from now on; what is on the screen has to be drawn anew. */
export async function speak(language: Language) {
  if (!i18next.hasResourceBundle(language, 'translation') && load[language])
    i18next.addResourceBundle(language, 'translation', (await load[language]()).default);
  i18next.options.postProcess = language === 'xa' ? ['lengthened'] : false;
  await i18next.changeLanguage(language === 'xa' ? 'en' : language);
  spoken = language;
}

let spoken: Language = 'en';
/** The language in use, as Intl and a page know it. */
export const locale = () => written[spoken];

/** What a voice speaks, where it says something of the page itself. */
export const pageVoice = (): Api<'Language'> => (spoken === 'es' ? 'Spanish' : 'English');
