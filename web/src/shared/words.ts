import type { components } from './schema';
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

type Schemas = components['schemas'];
/** Every member of every closed set of the API. */
type Member = {
  [K in keyof Schemas]: string extends Schemas[K] ? never : Schemas[K] extends string ? Schemas[K] : never;
}[keyof Schemas];
/** Whether a type is one of several words, and not one. */
type Several<S, All = S> = S extends All ? ([All] extends [S] ? false : true) : never;
/** A sentence. A member of a closed set is none: what it is called on a page stands in a table of its own. */
type NoMember<S extends string> = string extends S
  ? S
  : true extends Several<S>
    ? [S] extends [Member]
      ? never
      : S
    : S;

/** A sentence from the catalogue, with its values filled in. */
export const t = <S extends string>(sentence: NoMember<S>, values?: Record<string, string | number>): string =>
  i18next.t(sentence, values ?? {});
