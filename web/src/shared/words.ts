import i18next from 'i18next';
import en from './en.json';

// The English sentence is its own key; en.json holds only what English itself must choose between, such as one and many.
i18next.init({
  lng: 'en',
  fallbackLng: false,
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false },
  resources: { en: { translation: en } },
  initAsync: false,
});

/** A sentence from the catalogue, with its values filled in. */
export const t = (sentence: string, values?: Record<string, string | number>): string =>
  i18next.t(sentence, values ?? {});
