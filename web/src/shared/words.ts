import i18next from 'i18next';
import type { Api } from './api';
import { locale } from './language';
import type { components } from './schema';

type Schemas = components['schemas'];
/** Every member of every closed set of the API. */
type Member = {
  [K in keyof Schemas]: string extends Schemas[K] ? never : Schemas[K] extends string ? Schemas[K] : never;
}[keyof Schemas];
/** Whether a type is one of several words, and not one. */
type Several<S, All = S> = S extends All ? ([All] extends [S] ? false : true) : never;
/** A member of a closed set is no sentence: what it is called on a page stands in a table of its own. */
type NoMember<S extends string> = true extends Several<S> ? ([S] extends [Member] ? never : S) : S;

declare const said: unique symbol;
/** A sentence of the catalogue that stands in a table and is said later. */
export type Phrase = string & { readonly [said]: true };
export const phrase = (sentence: string) => sentence as Phrase;
/** What can be said: a sentence as it is written here, or one from a table. No other text is taken for one. */
type Said<S extends string> = [S] extends [Phrase] ? S : string extends S ? never : NoMember<S>;

/** What goes into a sentence; what is counted is a number, by which a language chooses between one and many. */
type Values = { [name: string]: string | number } & { count?: number };

/** What is counted chooses between one and many, and is written as the language writes numbers. */
const filled = (sentence: string, values: Values = {}): string =>
  i18next.t(sentence, {
    count: values.count,
    replace: values.count === undefined ? values : { ...values, count: values.count.toLocaleString(locale()) },
  });

/** A sentence from the catalogue, with its values filled in. */
export const t = <S extends string>(sentence: Said<S>, values?: Values): string => filled(sentence, values);

/** A word that is data and not a sentence, such as a topic: what the catalogue calls it, else the word itself. */
export const named = (word: string): string => (i18next.exists(word) ? i18next.t(word) : word);

export type Message = Api<'Message'>;

const valueOf = (value: Api<'MessageValue'>): string => {
  if (value.message) return say(value.message);
  if (value.list) return value.list.map(valueOf).join(', ');
  if (value.number != null) {
    const digits = value.digits ?? 0;
    return value.number
      .toLocaleString(locale(), { minimumFractionDigits: digits, maximumFractionDigits: digits })
      .replace('-', '−');
  }
  if (value.day)
    return new Date(`${value.day}T12:00:00`).toLocaleDateString(locale(), {
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    });
  if (value.time)
    return new Date(value.time).toLocaleString(locale(), {
      day: 'numeric',
      month: 'short',
      hour: '2-digit',
      minute: '2-digit',
    });
  return value.text ?? '';
};

/** What the server says, in the language of this page. */
export const say = (message: Message | null | undefined): string => {
  if (!message?.key) return '';
  const values: Values = Object.fromEntries((message.values ?? []).map((value, i) => [String(i), valueOf(value)]));
  if (message.count != null) values.count = message.count;
  return filled(message.key, values);
};
