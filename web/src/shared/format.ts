import type { Api } from './api';
import { locale } from './language';
import { phrase, type Phrase, t } from './words';

/** Something that writes in the language of the page, made once for each. */
const inLanguage = <T>(make: (language: string) => T) => {
  const made = new Map<string, T>();
  return () => {
    const known = made.get(locale()) ?? make(locale());
    made.set(locale(), known);
    return known;
  };
};
const day = inLanguage((l) => new Intl.DateTimeFormat(l, { weekday: 'short', day: 'numeric', month: 'short' }));
const long = inLanguage(
  (l) => new Intl.DateTimeFormat(l, { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' }),
);
const month = inLanguage((l) => new Intl.DateTimeFormat(l, { month: 'long', year: 'numeric' }));
const weekday = inLanguage((l) => new Intl.DateTimeFormat(l, { weekday: 'short' }));
const monthShort = inLanguage((l) => new Intl.DateTimeFormat(l, { month: 'short' }));
const short = inLanguage((l) => new Intl.DateTimeFormat(l, { day: 'numeric', month: 'short' }));
const hours = inLanguage((l) => new Intl.DateTimeFormat(l, { hour: '2-digit', minute: '2-digit' }));
const whole = inLanguage((l) => new Intl.NumberFormat(l, { maximumFractionDigits: 0 }));
const tenths = inLanguage(
  (l) => new Intl.NumberFormat(l, { minimumFractionDigits: 1, maximumFractionDigits: 1, useGrouping: false }),
);
const share = inLanguage((l) => new Intl.NumberFormat(l, { style: 'percent', maximumFractionDigits: 0 }));

const date = (iso: string) => new Date(iso.length === 10 ? `${iso}T12:00:00` : iso);
/** Tue 24 Nov */
/** Names one after another, as the language lists them. */
export const listed = (names: readonly string[]) =>
  new Intl.ListFormat(locale(), { type: 'conjunction' }).format(names);

export const dayOf = (iso: string) => day().format(date(iso)).replace(',', '');
/** Tue 24 Nov 2026 */
export const longDay = (iso: string) => long().format(date(iso)).replace(',', '');
/** November 2026 */
export const monthOf = (iso: string) => month().format(date(iso));
/** Nov */
export const shortMonth = (d: Date) => monthShort().format(d);
/** Mon to Sun; 1 January 2024 was a Monday. */
export const weekdays = () => Array.from({ length: 7 }, (_, i) => weekday().format(new Date(2024, 0, 1 + i, 12)));
/** Today on this device, as the API writes days. */
export const today = () => new Date().toLocaleDateString('sv');
export const shortDay = (iso: string) => short().format(date(iso));
export const timeOf = (iso: string) => hours().format(date(iso));
export const fm = (x: number) => tenths().format(x).replace('-', '−');
/** +1.3, −0.4, and 0.0 for what is too little to see. */
export const signed = (x: number) => {
  const size = tenths().format(Math.abs(x));
  const sign = x > 0 ? '+' : '−';
  return Math.abs(x) < 0.05 ? size : sign + size;
};
/** 90%, or as the language writes it. */
export const percent = (x: number) => share().format(x);
export const number = (x: number) => whole().format(x);
/** Half of a 90 % range: what stands behind every ± of a reader's level and a text's depth. */
export const halfRange = (sd: number) => 1.645 * sd;
/** 1:05 */
export const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
export const minutes = (seconds: number) =>
  seconds <= 0
    ? '–'
    : seconds < 90
      ? t('{{n}} s', { n: Math.round(seconds) })
      : t('{{n}} min', { n: Math.round(seconds / 60) });

/** K and the twelve grades after it, as one is chosen. */
export const gradeName = (grade: number) => (grade === 0 ? 'K' : String(grade));
export const gradeOptions = Array.from({ length: 13 }, (_, value) => ({ value, label: gradeName(value) }));

type Strand = Api<'Strand'>;
const strandNames: Record<Strand, Phrase> = {
  Retrieve: phrase('retrieve'),
  Infer: phrase('infer'),
  WordMeaning: phrase('word meaning'),
  Summarise: phrase('summarise'),
  Structure: phrase('structure'),
  AuthorsCraft: phrase('author’s craft'),
  Connect: phrase('connect'),
};
export const strandName = (s: Strand | null | undefined) => (s ? t(strandNames[s]) : '');

/** A chance, in a word and tenths; the ends are one and nineteen in twenty, never nothing or certain. */
export const chanceWords = (chance: number): string => {
  const word = chance >= 0.65 ? t('likely') : chance >= 0.35 ? t('possible') : t('unlikely');
  if (chance <= 0.07) return `${word}, ${t('{{n}} in {{of}}', { n: 1, of: 20 })}`;
  if (chance >= 0.93) return `${word}, ${t('{{n}} in {{of}}', { n: 19, of: 20 })}`;
  return `${word}, ${t('{{n}} in {{of}}', { n: Math.min(9, Math.max(1, Math.round(chance * 10))), of: 10 })}`;
};
